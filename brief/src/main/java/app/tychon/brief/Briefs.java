package app.tychon.brief;

import app.tychon.brief.blocks.Teller;
import app.tychon.brief.blocks.Told;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.paper.Page;
import app.tychon.core.model.Brief;
import java.util.List;

/** Makes pages of briefs. */
public final class Briefs {
    private Briefs() {}

    /** A brief as it is read, every block of it told. */
    public static Page page(Brief brief, Ground ground) {
        Teller teller = new Teller(brief, ground);
        return page(
                brief, ground, teller, brief.blocks().stream().map(teller::told).toList());
    }

    /** The same of blocks that were told already. */
    public static Page page(Brief brief, Ground ground, Teller teller, List<Told> blocks) {
        return new Page(
                brief.title().isBlank() ? brief.name() : brief.title(),
                under(ground, teller),
                brief.locale(),
                brief.paper(),
                brief.confidential(),
                blocks);
    }

    private static String under(Ground ground, Teller teller) {
        Ground.Run run = ground.run();
        String of =
                run.number() > 0 ? "run " + run.number() + (run.name().isEmpty() ? "" : ", “" + run.name() + "”") : "";
        return ground.plan().project().name()
                + ground.scenario()
                        .map(one -> ", scenario “" + one.name() + "”")
                        .orElse("")
                + " · " + teller.telling().day(run.recorded().toLocalDate())
                + (of.isEmpty() ? "" : " · " + of);
    }
}
