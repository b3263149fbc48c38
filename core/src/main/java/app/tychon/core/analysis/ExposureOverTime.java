package app.tychon.core.analysis;

import app.tychon.core.model.Action;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * How much risks still move, day by day, as actions are completed and the dates pass between which they can strike. On a day
 * a risk counts as it is after its response where all of that is done by then, as if nothing were done about it before, and
 * not at all once its dates have passed. The exposure is the difference to the same futures without these risks.
 *
 * @param steps in the order of their days; each holds until the next
 */
public record ExposureOverTime(List<Step> steps) {
    /** More days than these are put together by month. */
    private static final int MOST_STEPS = 36;

    /** Which responses count. */
    public enum Responses {
        /** Those decided on, from the day on which they are done, or planned to be. */
        DECIDED,
        /** All that are thought of, from the days planned. */
        ALL
    }

    /**
     * What holds from a day on.
     *
     * @param because what has changed on it: codes of risks whose dates have passed or whose response is done
     * @param minutes expected working minutes that the risks move the finish by, and at the level of confidence
     */
    public record Step(
            LocalDate from, List<String> because, double minutes, double minutesAt, double money, double moneyAt) {}

    private record Key(LocalDate day, boolean none) {}

    /**
     * Steps of a set of risks.
     *
     * @param which  risks that are looked at; all others stay as the plan has them
     * @param level  of the percentile, 0 to 1
     * @param today  up to when dates have passed: actions that are not done by then count from the day after at best
     */
    public static ExposureOverTime of(
            CompiledPlan plan,
            RunSettings settings,
            Predicate<Risk> which,
            Responses responses,
            double level,
            Optional<LocalDate> today,
            RunMonitor monitor) {
        Plan model = plan.network().plan();
        List<Risk> risks =
                model.risks().stream().filter(Risk::isLive).filter(which).toList();
        TreeSet<LocalDate> days = days(model, risks, responses, today);
        Map<Key, Variation> variations = new LinkedHashMap<>();
        Variation off = plan.variation();
        for (Risk risk : risks) {
            off = off.withRisk(risk.id(), RiskSetting.OFF);
        }
        variations.put(new Key(LocalDate.MIN, true), off);
        for (LocalDate day : days) {
            Variation then = plan.variation();
            for (Risk risk : risks) {
                then = then.withRisk(risk.id(), setting(risk, day, responses, today));
            }
            variations.put(new Key(day, false), then);
        }
        Differences<Key> differences = Differences.of(plan, settings, variations, monitor, some -> {});
        Outcomes none = differences.of(new Key(LocalDate.MIN, true));
        List<Step> steps = new ArrayList<>();
        LocalDate before = null;
        for (LocalDate day : days) {
            Outcomes then = differences.of(new Key(day, false));
            Sample minutes = Sample.of(then.minutesBeyond(none));
            Sample money = Sample.of(then.costBeyond(none));
            steps.add(new Step(
                    day,
                    before == null ? List.of() : changed(risks, before, day, responses, today),
                    minutes.mean(),
                    minutes.percentile(level),
                    money.mean(),
                    money.percentile(level)));
            before = day;
        }
        return new ExposureOverTime(steps);
    }

    private static RiskSetting setting(Risk risk, LocalDate day, Responses responses, Optional<LocalDate> today) {
        if (risk.state() == Risk.State.OCCURRED) {
            return RiskSetting.CURRENT;
        }
        if (risk.entry().to().filter(to -> to.isBefore(day)).isPresent()) {
            return RiskSetting.OFF;
        }
        boolean answered = effective(risk, responses, today)
                .filter(from -> !from.isAfter(day))
                .isPresent();
        return answered ? RiskSetting.AFTER_RESPONSE : RiskSetting.UNANSWERED;
    }

    /** The first day on which its response is in effect, where it counts at all. */
    private static Optional<LocalDate> effective(Risk risk, Responses responses, Optional<LocalDate> today) {
        Optional<Response> counts = risk.response().filter(r -> responses == Responses.ALL || r.decided());
        return counts.map(response -> response.keptActions().stream()
                .map(action -> responses == Responses.ALL ? action.finish().plusDays(1) : from(action, today))
                .max(LocalDate::compareTo)
                .orElse(LocalDate.MIN));
    }

    private static LocalDate from(Action action, Optional<LocalDate> today) {
        LocalDate next = action.effective().plusDays(1);
        boolean late = action.state() != Action.State.DONE
                && today.filter(day -> !next.isAfter(day)).isPresent();
        return late ? today.get().plusDays(1) : next;
    }

    private static TreeSet<LocalDate> days(
            Plan plan, List<Risk> risks, Responses responses, Optional<LocalDate> today) {
        LocalDate start = plan.project().start().toLocalDate();
        TreeSet<LocalDate> days = new TreeSet<>(Set.of(start));
        for (Risk risk : risks) {
            Stream.concat(
                            risk.entry().to().map(to -> to.plusDays(1)).stream(),
                            effective(risk, responses, today).stream())
                    .filter(day -> day.isAfter(start))
                    .forEach(days::add);
        }
        if (days.size() <= MOST_STEPS) {
            return days;
        }
        TreeSet<LocalDate> months = new TreeSet<>(Set.of(start));
        days.stream()
                .filter(day -> day.isAfter(start))
                .map(day -> day.minusDays(1).withDayOfMonth(1).plusMonths(1))
                .forEach(months::add);
        return months;
    }

    private static List<String> changed(
            List<Risk> risks, LocalDate before, LocalDate day, Responses responses, Optional<LocalDate> today) {
        return risks.stream()
                .filter(risk -> setting(risk, before, responses, today) != setting(risk, day, responses, today))
                .map(Risk::id)
                .toList();
    }
}
