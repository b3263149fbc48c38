package app.tychon.brief.blocks;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Odds;
import app.tychon.brief.words.Fields;
import app.tychon.brief.words.Line;
import app.tychon.brief.words.Telling;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.BriefBlock.Show;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Tells the blocks of one brief, with the numbers of one simulation. */
public final class Teller {
    private final Odds odds;
    private final Telling telling;

    public Teller(Brief brief, Ground ground) {
        odds = new Odds(ground);
        telling = new Telling(
                brief.locale(), brief.days(), ground.plan().project().currency());
    }

    /** How its dates and money are told. */
    public Telling telling() {
        return telling;
    }

    /**
     * A block as it is read.
     *
     * @throws java.util.concurrent.CancellationException where what it needs was stopped
     */
    public Told told(BriefBlock block) {
        Scene scene = Scene.of(block, odds, telling);
        Content content = Kinds.content(scene);
        Show show = block.show().orElse(Kinds.show(block.kind()));
        boolean drawn =
                (show == Show.DRAWING || show == Show.BOTH) && content.drawing().isPresent();
        boolean listed = show == Show.TABLE
                || show == Show.BOTH
                || show == Show.DRAWING && content.drawing().isEmpty();
        return new Told(
                block.id(),
                block.kind(),
                heading(block),
                lines(scene, content),
                block.words().isPresent(),
                drawn ? content.drawing() : Optional.empty(),
                listed ? content.grid() : Optional.empty(),
                content.notes().stream()
                        .filter(note -> show != Show.WORDS)
                        .map(note -> scene.fields().line(note, Map.of()).text())
                        .toList(),
                fault(block));
    }

    /** What stands over a block. */
    public String heading(BriefBlock block) {
        return block.heading().isEmpty() ? Kinds.heading(block.kind()) : block.heading();
    }

    /** Words that were typed are looked at again where their numbers have changed; those written from the numbers never need be. */
    private static List<Line> lines(Scene scene, Content content) {
        Set<String> usual = new HashSet<>(content.words());
        return scene.block().words().orElse(content.words()).stream()
                .map(words -> scene.fields()
                        .line(
                                words,
                                usual.contains(words) ? Map.of() : scene.block().seen()))
                .toList();
    }

    private Optional<String> fault(BriefBlock block) {
        return block.of()
                .filter(of -> !odds.knows(of))
                .map(of -> "“" + of + "” is no longer in the plan; this is of the whole project.");
    }

    /** The numbers that sentences of a block can hold, with what they say. */
    public List<Fields.Field> fields(BriefBlock block) {
        Scene scene = Scene.of(block, odds, telling);
        Kinds.content(scene);
        return scene.fields().all();
    }
}
