package app.tychon.core.simulation.money;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Assignment;
import app.tychon.core.model.Categories;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.PlannedSpans;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.money.CostItem.PlannedLevel;
import app.tychon.core.simulation.risk.RiskTargets;
import app.tychon.core.uncertainty.Distributions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/** The money of a plan without uncertainty, item by item: its cost lines, and its resources at work. */
public final class CostItems {
    private final Network network;
    private final PlannedSpans planned;
    private final Map<String, Integer> rates = new HashMap<>();
    private final List<Double> yearly = new ArrayList<>();
    private final Map<String, Integer> owners = new TreeMap<>();
    private final List<CostItem> items = new ArrayList<>();

    private CostItems(Network network, PlannedSpans planned) {
        this.network = network;
        this.planned = planned;
    }

    /**
     * @param items  cost lines by id, then assignments, so that sums do not depend on the order of rows
     * @param owners what they stand on, each with its row in {@link CostLanes#owners}
     */
    public record Made(List<CostItem> items, Map<String, Integer> owners) {}

    public static Made of(Network network, PlannedSpans planned) {
        CostItems made = new CostItems(network, planned);
        made.addRates();
        made.addItems();
        return new Made(made.items, made.owners);
    }

    /** How prices rise, in the order of the rows of {@link Prices#rate}. */
    static List<Escalation> escalation(Plan plan) {
        return sorted(plan.escalation(), Escalation::category);
    }

    private void addRates() {
        for (Escalation one : escalation(network.plan())) {
            rates.put(one.category(), yearly.size());
            yearly.add(Distributions.of(one.perYear(), 1).mean());
        }
    }

    static <T> List<T> sorted(List<T> all, Function<T, String> by) {
        return all.stream().sorted(Comparator.comparing(by)).toList();
    }

    private void addItems() {
        Plan plan = network.plan();
        for (CostLine line : sorted(plan.costs(), CostLine::id)) {
            items.add(item(line));
        }
        Map<String, Resource> resources = new LinkedHashMap<>();
        plan.resources().forEach(r -> resources.put(r.id(), r));
        for (Assignment one : sorted(plan.assignments(), RiskTargets::id)) {
            items.add(item(one, resources.get(one.resource())));
        }
    }

    private CostItem item(CostLine said) {
        CostLine line = said.over(said.perDay().isPresent() ? planned.days(said.on()) : 0);
        Place place = Place.of(network, line.on());
        double variable = 1 - line.fixedShare();
        Prices prices =
                rising(Prices.constant(network.frame(place.on()).start(), place.time(network)), line.category());
        CostItem item = item(line.id(), place, line.amount(), variable, prices, parts(line, place));
        if (line.isUnderWay()) {
            double spent = line.spent().orElse(0.0);
            double done = planned.done(line.on());
            item = item.with(changed -> changed.spent(spent)
                    .isUnderWay(true)
                    .amount(line.toGo().orElseGet(() -> toGo(line, spent)))
                    .done(done)
                    .plannedDuration(Math.max(0, planned.expected(line.on()) - done))
                    .progressRatio(1));
        }
        return levelled(item);
    }

    /** What is left of the planned amount, as progress has it; nothing where more is spent. */
    private double toGo(CostLine line, double spent) {
        double now = line.amount() * PlannedCost.growth(1 - line.fixedShare(), planned.progressRatio(line.on()));
        return line.amount() >= 0 ? Math.max(0, now - spent) : Math.min(0, now - spent);
    }

    private CostItem item(Assignment one, Resource resource) {
        Place place = Place.of(network, one.activity());
        double reference = highest(resource);
        double amount = PlannedCost.of(network, planned, one, resource, reference);
        Prices constant = Prices.constant(network.frame(place.on()).start(), place.time(network));
        Prices prices = rising(
                resource.rates().isEmpty()
                        ? constant
                        : constant.stepping(
                                resource.rates().stream()
                                        .mapToDouble(r -> Instants.of(r.from().atStartOfDay()))
                                        .toArray(),
                                levels(resource, reference)),
                resource.category());
        List<Part> parts = List.of(new Part(1, Part.When.EVENLY, place, 0));
        return levelled(item(RiskTargets.id(one), place, amount, PlannedCost.variableShare(resource), prices, parts));
    }

    /** The highest of a resource's rates, in which its amounts are planned; 1 where all are nothing. */
    private static double highest(Resource resource) {
        double highest =
                resource.rates().stream().mapToDouble(Resource.RateFrom::rate).reduce(resource.rate(), Math::max);
        return resource.rates().isEmpty() || highest > 0 ? highest : 1;
    }

    private static double[] levels(Resource resource, double reference) {
        double[] levels = new double[resource.rates().size() + 1];
        levels[0] = resource.rate() / reference;
        for (int i = 1; i < levels.length; i++) {
            levels[i] = resource.rates().get(i - 1).rate() / reference;
        }
        return levels;
    }

    private CostItem item(
            String id, Place place, double amount, double variableShare, Prices prices, List<Part> parts) {
        int owner = owners.computeIfAbsent(place.on(), o -> owners.size());
        return new CostItem(
                id,
                place,
                amount,
                amount,
                variableShare,
                UncertainInput.certain(amount),
                planned.duration(place.on()),
                planned.progressRatio(place.on()),
                0,
                false,
                0,
                network.frame(place.on()).earliest(),
                prices,
                PlannedLevel.NONE,
                parts,
                owner,
                List.of());
    }

    private Prices rising(Prices prices, String category) {
        return Categories.nearest(rates, category).map(prices::rising).orElse(prices);
    }

    private List<Part> parts(CostLine line, Place place) {
        if (line.instalments().isEmpty()) {
            return List.of(new Part(1, when(line.timing()), place, 0));
        }
        return line.instalments().stream().map(one -> part(one, place)).toList();
    }

    private static Part.When when(CostTiming timing) {
        return switch (timing) {
            case START -> Part.When.START;
            case FINISH -> Part.When.FINISH;
            case EVEN -> Part.When.EVENLY;
        };
    }

    private Part part(Instalment one, Place place) {
        if (one.due() instanceof Instalment.Reached reached) {
            Part.When when = reached.end() == Instalment.End.START ? Part.When.START : Part.When.FINISH;
            return new Part(one.share(), when, Place.of(network, reached.on()), 0);
        }
        Instalment.OnDay day = (Instalment.OnDay) one.due();
        return new Part(
                one.share(), Part.When.DAY, place, Instants.of(day.date().atStartOfDay()));
    }

    private CostItem levelled(CostItem item) {
        if (!item.followsDates()) {
            return item;
        }
        int parts = item.parts().size();
        DueLanes due = new DueLanes(parts);
        due.fill(item, new PlannedDates(planned), 1);
        double rate = item.prices().rate() < 0 ? 0 : yearly.get(item.prices().rate());
        PlannedLevel dates =
                new PlannedLevel(first(due.from, parts), first(due.to, parts), first(due.share, parts), rate, 1);
        return item.withPlanned(dates.withLevel(dates.at(item.prices(), rate)));
    }

    private static double[] first(double[][] rows, int count) {
        double[] first = new double[count];
        for (int p = 0; p < count; p++) {
            first[p] = rows[p][0];
        }
        return first;
    }

    private record PlannedDates(PlannedSpans planned) implements Dates {
        @Override
        public void starts(Place place, double[] out) {
            out[0] = planned.start(place.on());
        }

        @Override
        public void finishes(Place place, double[] out) {
            out[0] = planned.finish(place.on());
        }
    }
}
