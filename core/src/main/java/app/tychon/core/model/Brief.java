package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;

/**
 * A page that leaves somebody a decision: blocks in an order of one's own, with numbers out of one recorded run.
 *
 * @param name         what it is called among others, such as "For the sponsor"
 * @param title        what stands at its head
 * @param locale       how dates and money are written, a BCP 47 tag
 * @param confidential what stands at the foot of every page; empty for nothing
 * @param run          number of the recorded run that its numbers come from
 * @param scenario     the scenario of that run's plan that they are of, instead of the plan itself
 */
@RecordBuilder
public record Brief(
        String id,
        String name,
        String title,
        String locale,
        Paper paper,
        Days days,
        String confidential,
        Optional<Integer> run,
        Optional<String> scenario,
        List<BriefBlock> blocks)
        implements BriefBuilder.With {

    public static final String USUAL_LOCALE = "en-GB";

    public enum Paper {
        A4,
        LETTER
    }

    /** In which days differences are told. */
    public enum Days {
        WORKING,
        CALENDAR
    }

    public Brief {
        blocks = List.copyOf(blocks);
    }

    /** One without blocks. */
    public static Brief of(String id, String name, String title) {
        return new Brief(
                id,
                name,
                title,
                USUAL_LOCALE,
                Paper.A4,
                Days.WORKING,
                "",
                Optional.empty(),
                Optional.empty(),
                List.of());
    }
}
