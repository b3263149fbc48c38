package app.tychon.core.register.check;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Action;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.RiskSize;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Looks for risks that are not worth simulating as they are. O(risks × effects), and one pass over the plan. */
public final class RiskCheck {
    /** A range that reaches over more than this share of what is planned is wide. */
    private static final double WIDE = 0.4;
    /** Words with fewer letters tell nothing; of longer ones, so many tell whether two are of one stem. */
    private static final int STEM = 5;
    /** Days that a response must gain to be worth money at all. */
    private static final double A_DAY = 0.5;

    private static final Pattern WORDS = Pattern.compile("[^\\p{L}]+");
    /** A word that names more activities than these tells what the project is about, and not one piece of work. */
    private static final int COMMON = 3;

    /**
     * What a response does by simulation.
     *
     * @param days  that it adds at the level of confidence; negative where it gains
     * @param money that it adds, its actions included
     */
    public record Worth(double days, double money) {}

    private final Plan plan;
    private final Network network;
    private final Map<String, Worth> worth;
    private final RiskSize.Sizing sizing;
    private final Map<String, Activity> activities;
    private final Estimates estimates;
    private final Optional<LocalDate> today;
    private final Map<String, Long> named;
    private final List<RiskFinding> findings = new ArrayList<>();

    private RiskCheck(Network network, Map<String, Worth> worth) {
        this.network = network;
        this.worth = worth;
        plan = network.plan();
        sizing = new RiskSize.Sizing(network);
        activities = plan.activities().stream().collect(Collectors.toMap(Activity::id, Function.identity()));
        estimates = Estimates.of(plan);
        today = plan.project().dataDate().map(date -> date.toLocalDate());
        named = plan.activities().stream()
                .flatMap(activity -> stems(activity.name()).stream())
                .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    }

    /**
     * Everything that is found, fault by fault, in the register's order.
     *
     * @param worth of responses, by risk, as far as it is known
     */
    public static List<RiskFinding> of(Network network, Map<String, Worth> worth) {
        RiskCheck check = new RiskCheck(network, worth);
        check.plan.risks().stream()
                .filter(risk -> risk.state() == Risk.State.OPEN || risk.state() == Risk.State.PROPOSED)
                .forEach(check::single);
        check.causes();
        check.findings.sort(Comparator.comparing(RiskFinding::fault));
        return List.copyOf(check.findings);
    }

    private void found(RiskFault fault, String on, String message, Optional<Risk> mended) {
        findings.add(new RiskFinding(fault, on, message, mended, Acceptance.of(plan, fault, on, message)));
    }

    private void found(RiskFault fault, Risk risk, String message) {
        found(fault, risk.id(), message, Optional.empty());
    }

    private void single(Risk risk) {
        if (risk.impacts().isEmpty()) {
            found(RiskFault.NO_EFFECT, risk, "it does nothing to time or money");
        } else if (risk.impacts().stream().allMatch(this::isSpent)) {
            found(
                    RiskFault.NOTHING_LEFT,
                    risk.id(),
                    "all that it strikes is finished",
                    closed(risk, "all that it strikes is finished"));
        }
        chance(risk);
        direction(risk);
        risk.impacts().forEach(impact -> twice(risk, impact));
        risk.entry()
                .to()
                .filter(to -> today.filter(day -> to.isBefore(day)).isPresent())
                .ifPresent(to -> found(
                        RiskFault.PAST,
                        risk,
                        "it could strike until " + to + ", before the data date, " + today.get()));
        response(risk);
        if (risk.owner().isBlank()) {
            found(RiskFault.NO_OWNER, risk, "nobody owns it");
        }
    }

    private static Optional<Risk> closed(Risk risk, String why) {
        return Optional.of(
                risk.withState(Risk.State.CLOSED).withEntry(risk.entry().withClosedBecause(why)));
    }

    /** Nothing strikes finished work. */
    private boolean isSpent(Impact impact) {
        return impact.on().stream().allMatch(on -> network.isActivity(on) && network.isHistory(on));
    }

    private void chance(Risk risk) {
        if (risk.probability() == 0) {
            found(RiskFault.NO_CHANCE, risk.id(), "its chance is 0 %", closed(risk, "its chance is nothing"));
        } else if (risk.probability() == 1 && risk.recurrence().isEmpty()) {
            found(RiskFault.NO_CHANCE, risk, "its chance is 100 %: it is a fact, and belongs into the plan");
        }
    }

    /** To call it by its right name changes nothing that is simulated. */
    private void direction(Risk risk) {
        RiskSize size = sizing.of(risk);
        boolean adds = size.days() >= 0 && size.money() >= 0 && size.days() + size.money() > 0;
        boolean saves = size.days() <= 0 && size.money() <= 0 && size.days() + size.money() < 0;
        boolean isThreat = risk.kind() == Risk.Kind.THREAT;
        if (isThreat ? saves : adds) {
            Risk other = risk.withKind(isThreat ? Risk.Kind.OPPORTUNITY : Risk.Kind.THREAT)
                    .withEntry(risk.entry()
                            .withStrategy(risk.entry()
                                    .strategy()
                                    .filter(s -> s.suits(isThreat ? Risk.Kind.OPPORTUNITY : Risk.Kind.THREAT))));
            String what = isThreat ? "a threat that only saves" : "an opportunity that only adds";
            found(RiskFault.WRONG_WAY, risk.id(), what + ", on average " + told(size), Optional.of(other));
        }
    }

    private static String told(RiskSize size) {
        return size.days() != 0
                ? String.format(Locale.ROOT, "%+.1f days", size.days())
                : String.format(Locale.ROOT, "%+,.0f", size.money());
    }

    private void twice(Risk risk, Impact impact) {
        if (!impact.effect().isOnTime()) {
            return;
        }
        Set<String> said = stems(
                risk.title() + " " + risk.entry().cause() + " " + risk.entry().event());
        for (String on : impact.on()) {
            Activity activity = activities.get(on);
            if (activity == null || !isWide(activity)) {
                continue;
            }
            List<String> shared = stems(activity.name() + " " + activity.notes()).stream()
                    .filter(said::contains)
                    .filter(stem -> named.getOrDefault(stem, 0L) <= COMMON)
                    .toList();
            if (!shared.isEmpty()) {
                found(
                        RiskFault.COUNTED_TWICE,
                        risk,
                        "\"" + activity.name() + "\" (" + on
                                + ") has a wide range of its own; is this risk in it already?");
            }
        }
    }

    private boolean isWide(Activity activity) {
        return estimates
                .of(activity)
                .filter(e -> activity.duration().amount() > 0)
                .filter(e -> {
                    Distribution range = Distributions.of(e.shape(), 1);
                    double planned = e.basis() == Basis.FACTOR ? 1 : range.mean();
                    return range.inverse(0.9) - range.inverse(0.1) > WIDE * planned;
                })
                .isPresent();
    }

    private static Set<String> stems(String text) {
        return WORDS.splitAsStream(text.toLowerCase(Locale.ROOT))
                .filter(word -> word.length() >= STEM)
                .map(word -> word.substring(0, STEM))
                .collect(Collectors.toSet());
    }

    private void response(Risk risk) {
        risk.response().ifPresent(response -> {
            Worth known = worth.get(risk.id());
            if (known != null && response.cost() > 0 && known.money() > 0 && known.days() > -A_DAY) {
                found(
                        RiskFault.DEAR_RESPONSE,
                        risk,
                        "its response costs " + String.format(Locale.ROOT, "%,.0f", response.cost())
                                + " and saves neither that nor half a day");
            }
            for (Action action : response.actions()) {
                boolean open = action.state() == Action.State.PLANNED || action.state() == Action.State.UNDER_WAY;
                today.filter(day -> open && action.finish().isBefore(day))
                        .ifPresent(day -> found(
                                RiskFault.OVERDUE,
                                risk,
                                "\"" + action.name() + "\" should be done since " + action.finish()));
            }
        });
    }

    private void causes() {
        Map<String, List<Risk>> byCause = new TreeMap<>(plan.risks().stream()
                .filter(risk -> risk.state() != Risk.State.CLOSED
                        && !risk.entry().cause().isBlank())
                .collect(Collectors.groupingBy(
                        risk -> WORDS.matcher(risk.entry().cause().toLowerCase(Locale.ROOT))
                                .replaceAll(" ")
                                .strip())));
        Map<String, String> told = new HashMap<>();
        byCause.values().stream().filter(same -> same.size() > 1).forEach(same -> {
            for (Risk risk : same) {
                String others = same.stream()
                        .map(Risk::id)
                        .filter(id -> !id.equals(risk.id()))
                        .collect(Collectors.joining(", "));
                told.put(risk.id(), others);
            }
        });
        plan.risks().stream()
                .filter(risk -> told.containsKey(risk.id()))
                .forEach(risk -> found(
                        RiskFault.SAME_CAUSE,
                        risk,
                        "it has the cause of " + told.get(risk.id())
                                + ": they strike together, which chances of their own do not say"));
    }
}
