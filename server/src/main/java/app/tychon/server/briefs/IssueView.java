package app.tychon.server.briefs;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * A brief that was issued.
 *
 * @param number counts the issues of the project
 * @param brief  code of the brief it was made of
 * @param run    number of the run that it rests on
 * @param links  by which it can be read
 */
record IssueView(
        UUID id, int number, String brief, String title, int run, Instant issuedAt, List<ReadingLinkView> links) {

    /** @param path of its address; told only when it is made */
    record ReadingLinkView(UUID id, Instant madeAt, @Nullable String path) {}
}
