package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A part of a brief: a heading, words, a drawing or a table. What is not said of it is as is usual for its kind.
 *
 * @param heading   empty for the usual one
 * @param words     paragraphs written by hand, in which numbers are fields in braces; without them they are written from the numbers
 * @param seen      what fields said when the words were written, by field: whoever typed something beside them may want to look again
 *     where they now say something else
 * @param show      what is shown of it beside the words
 * @param of        what it is about: {@link Plan#PROJECT}, or the id of an activity or a branch
 * @param level     of confidence, percent
 * @param depth     how deep into the work breakdown
 * @param rows      how many rows at most
 * @param since     number of the earlier run that it compares with
 * @param scenarios which scenarios it compares; none for all
 * @param owner     of whom its risks and actions are; empty for everybody
 * @param period    of money over time
 * @param decisions what is to be decided
 */
@RecordBuilder
public record BriefBlock(
        String id,
        Kind kind,
        String heading,
        Optional<List<String>> words,
        Map<String, String> seen,
        Optional<Show> show,
        Optional<String> of,
        Optional<Integer> level,
        Optional<Integer> depth,
        Optional<Integer> rows,
        Optional<Integer> since,
        List<String> scenarios,
        String owner,
        Optional<Period> period,
        List<Decision> decisions)
        implements BriefBlockBuilder.With {

    /** What a block tells. */
    public enum Kind {
        /** The answer in three sentences. */
        ANSWER,
        /** How sure date, budget and both are. */
        HOW_SURE,
        /** The plan as it may turn out. */
        TURNS_OUT,
        /** What makes it so. */
        REASONS,
        /** Where the money goes. */
        MONEY,
        /** When money is spent, and whether what is funded reaches. */
        CASH_FLOW,
        /** How much to hold beside the plan. */
        CONTINGENCY,
        /** What scenarios would change. */
        OPTIONS,
        /** Which responses buy most. */
        FUND,
        /** The register's largest risks. */
        RISKS,
        /** What is to be done about them, by whom and when. */
        ACTIONS,
        /** What changed since an earlier run. */
        SINCE,
        /** What to decide, by whom, by when. */
        DECIDE,
        /** What drives the finish most often. */
        CRITICALITY,
        /** What the checks of plan, ranges and register found. */
        CHECKS,
        /** How it was worked out. */
        METHOD,
        /** Words alone. */
        TEXT
    }

    public enum Show {
        DRAWING,
        TABLE,
        BOTH,
        WORDS
    }

    public enum Period {
        MONTH,
        QUARTER
    }

    /**
     * Something to be decided.
     *
     * @param who  by whom; empty where nobody is named
     * @param cost of a decision that costs money
     */
    public record Decision(String what, String who, Optional<LocalDate> by, Optional<Double> cost) {}

    public BriefBlock {
        words = words.map(List::copyOf);
        // In a fixed order, so that equal ones are written alike.
        seen = Collections.unmodifiableMap(new TreeMap<>(seen));
        scenarios = List.copyOf(scenarios);
        decisions = List.copyOf(decisions);
    }

    /** One as is usual for its kind. */
    public static BriefBlock of(String id, Kind kind) {
        return new BriefBlock(
                id,
                kind,
                "",
                Optional.empty(),
                Map.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                "",
                Optional.empty(),
                List.of());
    }
}
