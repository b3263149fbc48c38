package app.tychon.server.briefs;

import app.tychon.server.briefs.BriefView.BlockView;
import app.tychon.server.briefs.BriefView.LineView;
import app.tychon.server.briefs.BriefView.PieceView;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What another run would change of a brief.
 *
 * @param run      number of the other run
 * @param complete whether all blocks of both are worked out
 * @param lines    sentences that would read otherwise
 */
record BriefUpdate(int run, boolean complete, List<ChangedLine> lines) {

    /**
     * A sentence that would read otherwise.
     *
     * @param heading of its block
     * @param byHand  whether somebody typed its words, and may want to look at them again
     */
    record ChangedLine(String block, String heading, String was, String now, boolean byHand) {}

    static BriefUpdate of(BriefView is, BriefView other, int run) {
        List<ChangedLine> lines = new ArrayList<>();
        boolean complete = true;
        for (int i = 0; i < is.blocks().size(); i++) {
            BlockView before = is.blocks().get(i);
            BlockView after = other.blocks().get(i);
            if (before.told() == null || after.told() == null) {
                complete &= before.failure() != null || after.failure() != null;
                continue;
            }
            List<LineView> old = before.told().lines();
            List<LineView> now = after.told().lines();
            for (int line = 0; line < Math.max(old.size(), now.size()); line++) {
                String was = line < old.size() ? text(old.get(line)) : "";
                String reads = line < now.size() ? text(now.get(line)) : "";
                if (!was.equals(reads)) {
                    lines.add(
                            new ChangedLine(before.id(), before.told().heading(), was, reads, before.words() != null));
                }
            }
        }
        return new BriefUpdate(run, complete, lines);
    }

    private static String text(LineView line) {
        return line.pieces().stream().map(PieceView::text).collect(Collectors.joining());
    }
}
