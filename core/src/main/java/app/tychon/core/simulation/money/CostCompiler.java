package app.tychon.core.simulation.money;

import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Estimates;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.ShapeTables;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.risk.Hit;
import app.tychon.core.simulation.risk.RiskModel;
import app.tychon.core.simulation.settings.Variation;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Makes the money of a plan ready for one variation of it. */
public final class CostCompiler {
    private CostCompiler() {}

    /**
     * @param made    the money without uncertainty
     * @param amounts how uncertain the amount of each line is, by id
     * @param rates   by how much prices rise a year, in the order of {@link #rates}
     * @param risks   what risks do to money
     */
    public static CostModel compile(
            Network network,
            CostItems.Made made,
            Variation variation,
            Map<String, UncertainInput> amounts,
            List<UncertainInput> rates,
            RiskModel risks) {
        Map<String, Integer> owners = new TreeMap<>(made.owners());
        List<CostItem> items = made.items().stream()
                .map(item -> item.withSampled(amounts.getOrDefault(item.id(), item.sampled()))
                        .withScaled(risks.money().scaled().getOrDefault(item.id(), List.of())))
                .toList();
        return new CostModel(
                network,
                items,
                added(network, risks, items, owners),
                rates,
                owners,
                sum(ResponseActions.decided(network.plan(), variation)),
                sum(ResponseActions.tried(network.plan(), variation)));
    }

    private static Map<String, CostItem> byId(List<CostItem> items) {
        Map<String, CostItem> byId = new HashMap<>();
        items.forEach(item -> byId.put(item.id(), item));
        return byId;
    }

    private static double sum(List<Action> actions) {
        return actions.stream().mapToDouble(Action::cost).sum();
    }

    /** How uncertain what is still to be paid of each line is, by id. What is finished is certain. */
    public static Map<String, UncertainInput> amounts(Network network, List<CostItem> items, ShapeTables tables) {
        Estimates estimates = Estimates.of(network.plan());
        Map<String, CostItem> byId = byId(items);
        Map<String, UncertainInput> amounts = new HashMap<>();
        for (CostLine line : network.plan().costs()) {
            boolean finished = network.isHistory(line.on());
            CostItem item = byId.get(line.id());
            double amount = item.amount();
            double left = item.whole() == 0 ? 1 : amount / item.whole();
            amounts.put(
                    line.id(),
                    estimates
                            .of(line)
                            .filter(e -> !finished)
                            .map(e -> new UncertainInput(
                                    RandomStream.of(RandomStream.Role.COST, network.identity(line.id())),
                                    tables.of(e.shape()),
                                    e.basis() == Basis.FACTOR ? amount : left))
                            .orElseGet(() -> UncertainInput.certain(amount)));
        }
        return amounts;
    }

    /** By how much prices rise a year, by category, with the order of its rows. */
    public static Map<String, UncertainInput> rates(Network network, ShapeTables tables) {
        Map<String, UncertainInput> rates = new LinkedHashMap<>();
        for (Escalation one : CostItems.escalation(network.plan())) {
            rates.put(
                    one.category(),
                    new UncertainInput(
                            RandomStream.of(RandomStream.Role.PRICE, network.identityOfCategory(one.category())),
                            tables.of(one.perYear()),
                            1));
        }
        return rates;
    }

    private static List<AddedCost> added(
            Network network, RiskModel risks, List<CostItem> items, Map<String, Integer> owners) {
        Map<String, CostItem> byId = byId(items);
        List<AddedCost> added = new ArrayList<>();
        new TreeMap<>(risks.money().added()).forEach((target, all) -> {
            String on = network.branches().placeOf(target);
            int owner = owners.computeIfAbsent(on, o -> owners.size());
            Place place = Place.of(network, on);
            for (Hit hit : all) {
                boolean isOnRecord =
                        risks.events().get(hit.impact().event()).risk().isOnRecord();
                Optional<CostItem> line = Optional.ofNullable(byId.get(target)).filter(item -> !isOnRecord);
                added.add(new AddedCost(target, place, owner, hit, line));
            }
        });
        return added;
    }
}
