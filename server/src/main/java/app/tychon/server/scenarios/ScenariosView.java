package app.tychon.server.scenarios;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Plan;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.ScenarioEdit;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.scenario.ScenarioOdds.Gap;
import app.tychon.exchange.Words;
import app.tychon.exchange.changes.Laid;
import app.tychon.exchange.changes.Laid.Misfit;
import app.tychon.server.plan.LoadedPlan;
import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * The plan and its scenarios side by side.
 *
 * @param revision of the plan
 * @param level percent, at which they are compared
 * @param base  with what they are compared: the id of a scenario, or empty for the plan itself
 * @param rows  the plan itself first, with an empty id
 */
record ScenariosView(long revision, int level, String base, List<ScenarioRow> rows) {
    private static final int MOST_EDITS = 200;

    /**
     * One scenario.
     *
     * @param risks     switches by code of the risk: off, now, response or unanswered
     * @param edits     the first of its edits
     * @param editCount how many it has
     * @param odds      absent until it is worked out
     * @param gap       from the base; absent for the base itself, and until both are worked out
     * @param refusal   why it cannot be simulated
     */
    record ScenarioRow(
            String id,
            String name,
            String note,
            boolean putAway,
            Map<String, String> risks,
            Map<String, String> categories,
            String otherRisks,
            boolean estimates,
            boolean correlation,
            @Nullable LocalDateTime targetFinish,
            @Nullable Double targetCost,
            List<EditRow> edits,
            int editCount,
            List<MisfitRow> misfits,
            @Nullable ScenarioNumbers odds,
            @Nullable GapView gap,
            @Nullable String refusal) {}

    /**
     * What does not fit the plan as it is now.
     *
     * @param idle whether it has no effect because of that
     */
    record MisfitRow(String section, String key, boolean idle, String why) {}

    /**
     * What a scenario comes to. Chances are absent where there is no target.
     *
     * @param refined    whether no more futures are to come
     * @param planCost   without uncertainty, responses decided on included
     * @param jointChance that target and budget are both kept
     */
    record ScenarioNumbers(
            int iterations,
            boolean refined,
            LocalDateTime planFinish,
            double planCost,
            LocalDateTime finishHalf,
            LocalDateTime finishLevel,
            double costHalf,
            double costLevel,
            @Nullable Double finishChance,
            @Nullable Double costChance,
            @Nullable Double jointChance) {

        static ScenarioNumbers of(ScenarioOdds odds, double level, boolean refined) {
            return new ScenarioNumbers(
                    odds.iterations(),
                    refined,
                    Instants.toCivil(odds.planFinish()),
                    odds.plannedCost(),
                    Instants.toCivil(odds.finish().percentile(0.5)),
                    Instants.toCivil(odds.finish().percentile(level)),
                    odds.cost().percentile(0.5),
                    odds.cost().percentile(level),
                    odds.finishChance().orElse(null),
                    odds.costChance().orElse(null),
                    odds.jointChance().orElse(null));
        }
    }

    /**
     * How far it lies from the base, with the same random numbers.
     *
     * @param days      working days of the project calendar at the level; below zero is sooner
     * @param daysError half-width of the 95 % interval; absent where there are too few futures to say
     * @param cost      money at the level
     * @param now       what is planned to be spent more
     * @param later     share of futures that finish later
     * @param sooner    share that finish sooner
     */
    record GapView(
            double days,
            @Nullable Double daysError,
            double cost,
            @Nullable Double costError,
            double now,
            double later,
            double sooner) {
        static GapView of(Gap gap, double day) {
            return new GapView(
                    gap.duration().change() / day,
                    known(gap.duration().error() / day),
                    gap.cost().change(),
                    known(gap.cost().error()),
                    gap.now(),
                    gap.later(),
                    gap.sooner());
        }

        @Nullable
        private static Double known(double error) {
            return Double.isNaN(error) ? null : error;
        }
    }

    static ScenariosView of(LoadedPlan loaded, Map<String, Slot> slots, String base, int level) {
        Plan plan = loaded.plan();
        Function<ScenarioEdit, String> names = EditRow.namesIn(plan);
        Optional<Slot> against = Optional.ofNullable(slots.get(base));
        List<ScenarioRow> rows = new ArrayList<>();
        rows.add(row(Scenario.of(Board.PLAN, "As it stands"), names, slots, against, plan, level));
        plan.scenarios().forEach(one -> rows.add(row(one, names, slots, against, plan, level)));
        return new ScenariosView(loaded.revision(), level, base, rows);
    }

    private static ScenarioRow row(
            Scenario scenario,
            Function<ScenarioEdit, String> names,
            Map<String, Slot> slots,
            Optional<Slot> base,
            Plan plan,
            int level) {
        Optional<Slot> slot = Optional.ofNullable(slots.get(scenario.id()));
        double share = level / 100.0;
        double day = plan.projectCalendar().hoursPerDay() * 60;
        return new ScenarioRow(
                scenario.id(),
                scenario.name(),
                scenario.note(),
                scenario.putAway(),
                words(scenario.risks()),
                words(scenario.categories()),
                Words.of(scenario.others()),
                scenario.estimates(),
                scenario.correlation(),
                scenario.finish().orElse(null),
                scenario.cost().orElse(null),
                scenario.edits().stream()
                        .limit(MOST_EDITS)
                        .map(edit -> EditRow.of(edit, names))
                        .toList(),
                scenario.edits().size(),
                slot.flatMap(Slot::laid).map(Laid::misfits).orElse(List.of()).stream()
                        .map(ScenariosView::misfit)
                        .toList(),
                slot.flatMap(one -> one.odds().map(odds -> ScenarioNumbers.of(odds, share, one.isRefined())))
                        .orElse(null),
                slot.flatMap(one -> base.filter(other -> other != one).flatMap(other -> one.like(other)
                                .flatMap(mine -> other.like(one).map(its -> mine.from(its, share)))))
                        .map(gap -> GapView.of(gap, day))
                        .orElse(null),
                slot.flatMap(Slot::refusal).orElse(null));
    }

    static MisfitRow misfit(Misfit misfit) {
        return new MisfitRow(misfit.section(), misfit.key(), misfit.idle(), misfit.why());
    }

    private static Map<String, String> words(Map<String, RiskSwitch> switches) {
        Map<String, String> words = new TreeMap<>();
        switches.forEach((what, how) -> words.put(what, Words.of(how)));
        return words;
    }
}
