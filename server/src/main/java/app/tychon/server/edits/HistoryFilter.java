package app.tychon.server.edits;

import app.tychon.exchange.changes.ChangeSet;

/** Which edits are listed; what is absent lets all through. */
record HistoryFilter(String person, String section, String key, Long before) {
    boolean isAbout(ChangeSet changes) {
        return changes.changes().stream()
                .anyMatch(change -> change.key().equals(key)
                        && (section == null || change.section().equals(section)));
    }
}
