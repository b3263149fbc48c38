package app.tychon.server.briefs;

import app.tychon.brief.blocks.Grid;
import app.tychon.brief.blocks.Kinds;
import app.tychon.brief.blocks.Told;
import app.tychon.brief.words.Line;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.exchange.Words;
import app.tychon.server.runs.RunView;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A brief as it is written and as it is read.
 *
 * @param asked    number of the run that it is bound to; absent for the latest
 * @param run      whose numbers it tells; absent where there is none
 * @param latest   the latest run that has results
 * @param fault    why it cannot be told, or why its numbers are others than asked for
 * @param under    what stands under its title
 */
record BriefView(
        String id,
        String name,
        String title,
        String locale,
        String paper,
        String days,
        String confidential,
        @Nullable Integer asked,
        @Nullable String scenario,
        @Nullable RunView run,
        @Nullable RunView latest,
        @Nullable String fault,
        String under,
        List<BlockView> blocks) {

    /**
     * A block with what is set of it.
     *
     * @param usual   its heading as long as nobody gives it another
     * @param words   as they were typed; absent where they are written from the numbers
     * @param told    as it is read; absent while it is worked out
     * @param failure why it could not be told
     */
    record BlockView(
            String id,
            String kind,
            String heading,
            String usual,
            @Nullable List<String> words,
            Map<String, String> seen,
            @Nullable String show,
            String usualShow,
            @Nullable String of,
            @Nullable Integer level,
            @Nullable Integer depth,
            @Nullable Integer rows,
            @Nullable Integer since,
            List<String> scenarios,
            String owner,
            @Nullable String period,
            List<DecisionView> decisions,
            @Nullable ToldView told,
            @Nullable String failure) {

        static BlockView of(BriefBlock block, Optional<Told> told, @Nullable String failure) {
            return new BlockView(
                    block.id(),
                    Words.of(block.kind()),
                    block.heading(),
                    Kinds.heading(block.kind()),
                    block.words().orElse(null),
                    block.seen(),
                    block.show().map(Words::of).orElse(null),
                    Words.of(Kinds.show(block.kind())),
                    block.of().orElse(null),
                    block.level().orElse(null),
                    block.depth().orElse(null),
                    block.rows().orElse(null),
                    block.since().orElse(null),
                    block.scenarios(),
                    block.owner(),
                    block.period().map(Words::of).orElse(null),
                    block.decisions().stream().map(DecisionView::of).toList(),
                    told.map(ToldView::of).orElse(null),
                    failure);
        }
    }

    record DecisionView(String what, String who, @Nullable LocalDate by, @Nullable Double cost) {
        static DecisionView of(BriefBlock.Decision decision) {
            return new DecisionView(
                    decision.what(),
                    decision.who(),
                    decision.by().orElse(null),
                    decision.cost().orElse(null));
        }
    }

    /** A block as it is read. */
    record ToldView(
            String kind,
            String heading,
            List<LineView> lines,
            @Nullable DrawingView drawing,
            @Nullable TableView table,
            List<String> notes,
            @Nullable String fault) {
        static ToldView of(Told told) {
            return new ToldView(
                    Words.of(told.kind()),
                    told.heading(),
                    told.lines().stream().map(LineView::of).toList(),
                    told.drawing().map(DrawingView::of).orElse(null),
                    told.grid().map(TableView::of).orElse(null),
                    told.notes(),
                    told.fault().orElse(null));
        }
    }

    /**
     * A paragraph.
     *
     * @param template with its fields in braces
     * @param changed  fields that said something else when somebody typed the words beside them
     */
    record LineView(String template, List<PieceView> pieces, List<ChangeView> changed) {
        static LineView of(Line line) {
            return new LineView(
                    line.template(),
                    line.pieces().stream()
                            .map(piece -> new PieceView(piece.text(), piece.field(), piece.lost()))
                            .toList(),
                    line.changed().stream()
                            .map(one -> new ChangeView(one.field(), one.was(), one.now()))
                            .toList());
        }
    }

    /**
     * Words, or a number in them.
     *
     * @param field empty for words
     * @param lost  whether there is no such number any more
     */
    record PieceView(String text, String field, boolean lost) {}

    record ChangeView(String field, String was, String now) {}

    record TableView(List<TableColumn> columns, List<List<String>> rows) {
        static TableView of(Grid grid) {
            return new TableView(
                    grid.columns().stream()
                            .map(column -> new TableColumn(column.name(), column.isNumber()))
                            .toList(),
                    grid.rows());
        }
    }

    record TableColumn(String name, boolean number) {}

    /** One that nothing can be told of yet. */
    static BriefView withoutRun(Brief brief) {
        return of(
                brief,
                null,
                null,
                "No run is on record yet whose numbers this brief could tell.",
                "",
                brief.blocks().stream()
                        .map(block -> BlockView.of(block, Optional.empty(), null))
                        .toList());
    }

    static BriefView of(
            Brief brief,
            @Nullable RunView run,
            @Nullable RunView latest,
            @Nullable String fault,
            String under,
            List<BlockView> blocks) {
        return new BriefView(
                brief.id(),
                brief.name(),
                brief.title(),
                brief.locale(),
                brief.paper().name().toLowerCase(Locale.ROOT),
                Words.of(brief.days()),
                brief.confidential(),
                brief.run().orElse(null),
                brief.scenario().orElse(null),
                run,
                latest,
                fault,
                under,
                blocks);
    }
}
