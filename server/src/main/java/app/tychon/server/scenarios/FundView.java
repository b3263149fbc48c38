package app.tychon.server.scenarios;

import app.tychon.server.pool.JobState;
import app.tychon.server.scenarios.ScenariosView.ScenarioNumbers;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * What to fund, as far as it is worked out.
 *
 * @param revision   of the plan
 * @param goal       finish, cost or both
 * @param level      percent of the percentile that is to come down
 * @param iterations futures that every set rests on
 * @param expected   how many sets there are to try, or about how many will be
 * @param complete   whether every set there is was tried
 * @param options    what can be had
 * @param tried      every set that was tried
 * @param best       from the cheapest up, each better than all cheaper ones; the first is none at all
 * @param refusal    why it cannot be worked out
 */
record FundView(
        long revision,
        JobState state,
        String goal,
        int level,
        int iterations,
        int expected,
        boolean complete,
        List<OptionRow> options,
        List<TriedSet> tried,
        List<BestSet> best,
        @Nullable String refusal) {
    /**
     * A response, by the code of its risk, or a scenario with edits of its own.
     *
     * @param kind response or scenario
     * @param mark threat, opportunity or estimate
     * @param what its actions, or what is said of the scenario
     */
    record OptionRow(String id, String kind, String title, String mark, String what, double cost) {}

    /**
     * A set that was tried.
     *
     * @param options places of its options in the list of options
     * @param gain    working days that the percentile comes sooner, money that it falls by, or by how much more often both are
     *     kept (0 to 1)
     */
    record TriedSet(List<Integer> options, double cost, double gain) {}

    /**
     * The best set for its own cost and more, up to the next one's.
     *
     * @param options by id
     * @param gap     how much more at most any set of no more cost could gain; absent where that is not known
     * @param numbers what it comes to; absent until the search is over
     * @param without what the set would gain less without each of its options; those that were not tried are absent
     * @param more    what it would gain more with each option that it lacks, likewise
     */
    record BestSet(
            List<String> options,
            double cost,
            double gain,
            @Nullable Double gap,
            @Nullable ScenarioNumbers numbers,
            List<OptionGain> without,
            List<OptionGain> more) {}

    record OptionGain(String id, double gain) {}
}
