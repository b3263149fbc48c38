package app.tychon.core.simulation;

import app.tychon.core.model.Basis;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import app.tychon.core.simulation.risk.RiskTargets;
import app.tychon.core.uncertainty.Distributions;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How large a risk is by its own numbers, without simulating the plan: what a scheme's grid has its place by.
 *
 * @param chance that it occurs at all, 0 to 1; of what strikes so often a year, that it strikes at least once
 * @param days   mean working days that it takes where it occurs, of the activity it delays most; negative where it saves
 * @param money  mean amount that it takes where it occurs, over all it strikes
 */
public record RiskSize(double chance, double days, double money) {

    /** Sizes risks of one plan. */
    public static final class Sizing {
        private final Network network;
        private final PlannedSpans spans;
        private final double day;
        private final Map<String, Double> amounts = new HashMap<>();

        public Sizing(Network network) {
            this.network = network;
            spans = new PlannedSpans(network, new ForwardPass(network));
            day = network.frame().day();
            for (CostLine line : network.plan().costs()) {
                amounts.put(line.id(), line.over(spans.days(line.on())).amount());
            }
        }

        /** As it is before its response. */
        public RiskSize of(Risk risk) {
            return of(risk, risk.probability(), risk.impacts());
        }

        /** With other numbers, as after its response. */
        public RiskSize of(Risk risk, double probability, List<Impact> impacts) {
            double times = times(risk, impacts);
            boolean byRate = risk.recurrence()
                    .filter(Recurrence.PerYear.class::isInstance)
                    .isPresent();
            double any = byRate ? 1 - Math.exp(-times) : 1;
            double strikes = any > 0 ? times / any : 0;
            double days = 0;
            double money = 0;
            for (Impact impact : impacts) {
                double mean = Distributions.of(impact.distribution().shape(), 1).mean();
                if (impact.effect().isOnTime()) {
                    double here = minutes(impact, mean) / day;
                    days = Math.abs(here) > Math.abs(days) ? here : days;
                } else {
                    money += money(impact, mean);
                }
            }
            return new RiskSize(probability * any, days * strikes, money * strikes);
        }

        /** How often it strikes where it is at work. */
        private double times(Risk risk, List<Impact> impacts) {
            if (risk.recurrence().isEmpty()) {
                return 1;
            }
            if (risk.recurrence().get() instanceof Recurrence.Count count) {
                return Distributions.of(count.shape(), 1).mean();
            }
            Recurrence.PerYear often = (Recurrence.PerYear) risk.recurrence().get();
            double years = often.over()
                    .map(over -> (over.to().toEpochDay() - over.from().toEpochDay() + 1) / DAYS_A_YEAR)
                    .orElseGet(() -> impacts.stream()
                            .flatMap(impact -> impact.on().stream())
                            .mapToDouble(this::yearsLeft)
                            .max()
                            .orElse(0));
            return often.rate() * years;
        }

        private double yearsLeft(String target) {
            String on = network.branches().placeOf(target);
            if (network.isActivity(on) || network.branches().isBranch(on)) {
                return spans.clockMinutesLeft(on) / (DAYS_A_YEAR * 24 * 60);
            }
            return Arrays.stream(network.usersOf(on))
                    .mapToDouble(i -> spans.clockMinutesLeft(network.activity(i).id()) / (DAYS_A_YEAR * 24 * 60))
                    .max()
                    .orElse(0);
        }

        /** Working minutes of the activity that an impact of a size delays most, straight in the size. */
        double minutes(Impact impact, double size) {
            double most = 0;
            for (String target : impact.on()) {
                for (String id : RiskTargets.of(network, impact.effect(), target)) {
                    int i = network.position(id);
                    double minutes = impact.effect().isScale()
                            ? (size - 1) * network.work(i).remaining()
                            : size * network.activity(i).minutesEach(basis(impact), calendar(i));
                    most = Math.abs(minutes) > Math.abs(most) ? minutes : most;
                }
            }
            return most;
        }

        private static Basis basis(Impact impact) {
            return impact.distribution().basis();
        }

        private CalendarDefinition calendar(int position) {
            return network.calendar(position);
        }

        /** Money that an impact of a size takes of all it strikes, straight in the size. */
        double money(Impact impact, double size) {
            double sum = 0;
            for (String target : impact.on()) {
                for (String id : RiskTargets.of(network, impact.effect(), target)) {
                    sum += impact.effect().isScale() ? (size - 1) * amounts.getOrDefault(id, 0.0) : size;
                }
            }
            return sum;
        }
    }

    private static final double DAYS_A_YEAR = 365.25;
}
