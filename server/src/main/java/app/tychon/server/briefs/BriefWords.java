package app.tychon.server.briefs;

import app.tychon.brief.Starter;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * What is to change in a brief, or a new one; what is absent stays. Words are those of the project file.
 *
 * @param id       its code; of a new one it may be empty, then it gets one
 * @param add      true for a new brief
 * @param starter  of a new one: for whom it is
 * @param from     of a new one: the brief that it is a copy of
 * @param run      number of the run that its numbers come from; null for the latest
 * @param scenario of that run's plan; null for the plan itself
 * @param blocks   blocks that change, or new ones
 * @param without  ids of blocks that are taken out
 * @param order    ids of all its blocks, as they are to follow each other
 */
record BriefWords(
        String id,
        @Nullable Boolean add,
        @Nullable Starter starter,
        @Nullable String from,
        @Nullable String name,
        @Nullable String title,
        @Nullable String locale,
        @Nullable String paper,
        @Nullable String days,
        @Nullable String confidential,
        @Nullable Integer run,
        @Nullable String scenario,
        @Nullable List<BlockWords> blocks,
        @Nullable List<String> without,
        @Nullable List<String> order) {

    /**
     * A block; what is absent stays, null is as usual.
     *
     * @param id    its code; of a new one it may be empty
     * @param add   true for a new block
     * @param after of a new one: the block that it follows; absent for the end, empty for the beginning
     * @param was   the words that the editor saw before typing; where somebody has typed others since, the edit is refused
     * @param seen  what fields said beside the words
     */
    record BlockWords(
            String id,
            @Nullable Boolean add,
            @Nullable String after,
            @Nullable String kind,
            @Nullable String heading,
            @Nullable List<String> words,
            @Nullable List<String> was,
            @Nullable Map<String, String> seen,
            @Nullable String show,
            @Nullable String of,
            @Nullable Integer level,
            @Nullable Integer depth,
            @Nullable Integer rows,
            @Nullable Integer since,
            @Nullable List<String> scenarios,
            @Nullable String owner,
            @Nullable String period,
            @Nullable List<DecisionWords> decisions) {}

    record DecisionWords(String what, @Nullable String who, @Nullable LocalDate by, @Nullable Double cost) {}
}
