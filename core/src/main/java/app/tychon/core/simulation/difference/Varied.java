package app.tychon.core.simulation.difference;

import app.tychon.core.model.Risk;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.AddedCost;
import app.tychon.core.simulation.money.CostItem;
import app.tychon.core.simulation.risk.Hit;
import app.tychon.core.simulation.risk.RiskEvent;
import app.tychon.core.simulation.risk.RiskModel;
import app.tychon.core.simulation.risk.Times;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** A variation of a plan beside the plan: what of it may come out otherwise. Found once, looked at in every batch. */
final class Varied {
    /**
     * A risk that may strike otherwise.
     *
     * @param before row in the plan's strikes, -1 where it takes no part
     * @param after  row in the variation's, likewise
     * @param always whether it differs wherever it strikes, not only where it strikes more or less often
     */
    record Otherwise(int before, int after, boolean always) {}

    final CompiledPlan plan;
    /** Positions whose durations are drawn or struck otherwise, ascending. */
    final int[] positions;
    /** Those that are drawn otherwise. */
    final BitSet redrawn = new BitSet();
    /** By row in the variation: the same risk of the plan where it strikes alike, else nothing. */
    final RiskEvent[] alike;

    final List<Otherwise> risks = new ArrayList<>();
    /** Cost items, by index, whose amounts are drawn otherwise, or whose prices rise otherwise. */
    final BitSet repriced = new BitSet();
    /** Cost items that are scaled otherwise. */
    final BitSet rescaled = new BitSet();
    /** By money that risks add in the variation: index of the same in the plan, -1 where it differs. */
    final int[] added;

    Varied(CompiledPlan before, CompiledPlan after) {
        plan = after;
        Network network = after.network();
        for (int i = 0; i < network.size(); i++) {
            redrawn.set(i, !after.duration(i).isAlike(before.duration(i)));
        }
        Set<String> otherwise = otherwise(before, after);
        Map<String, RiskEvent> known = new HashMap<>();
        before.risks().events().forEach(event -> known.put(event.risk().id(), event));
        alike = after.risks().events().stream()
                .map(event -> otherwise.contains(event.risk().id())
                        ? null
                        : known.get(event.risk().id()))
                .toArray(RiskEvent[]::new);
        BitSet rowsBefore = rows(before.risks(), otherwise);
        BitSet rowsAfter = rows(after.risks(), otherwise);
        addRisks(before, after, otherwise);
        positions = IntStream.range(0, network.size())
                .filter(i -> redrawn.get(i)
                        || before.risks().strikes(i, rowsBefore)
                        || after.risks().strikes(i, rowsAfter))
                .toArray();
        List<UncertainInput> rates = after.costs().rates();
        BitSet escalated = new BitSet();
        for (int row = 0; row < rates.size(); row++) {
            escalated.set(
                    row + 1, !rates.get(row).isAlike(before.costs().rates().get(row)));
        }
        List<CostItem> items = after.costs().items();
        for (int i = 0; i < items.size(); i++) {
            CostItem same = before.costs().items().get(i);
            repriced.set(
                    i,
                    !items.get(i).sampled().isAlike(same.sampled())
                            || escalated.get(items.get(i).prices().rate() + 1));
            rescaled.set(i, any(same.scaled(), rowsBefore) || any(items.get(i).scaled(), rowsAfter));
        }
        added = added(before, after, rowsBefore, rowsAfter);
    }

    /** Ids of the risks that may strike otherwise: treated otherwise, or hanging together with what is. */
    private Set<String> otherwise(CompiledPlan before, CompiledPlan after) {
        List<Risk> register = after.network().plan().risks();
        Set<String> otherwise = new HashSet<>();
        Set<String> groups = new HashSet<>();
        for (Risk risk : register) {
            if (!after.variation().treatsLike(before.variation(), risk.id())) {
                otherwise.add(risk.id());
                risk.exclusiveGroup().ifPresent(groups::add);
            }
        }
        register.stream()
                .filter(risk -> risk.exclusiveGroup().filter(groups::contains).isPresent())
                .forEach(risk -> otherwise.add(risk.id()));
        after.risks().events().stream()
                .filter(event -> event.times() instanceof Times.Poisson poisson
                        && IntStream.of(poisson.exposure().positions()).anyMatch(redrawn::get))
                .forEach(event -> otherwise.add(event.risk().id()));
        boolean more = !otherwise.isEmpty();
        while (more) {
            more = false;
            for (Risk risk : register) {
                boolean follows =
                        risk.onlyIf().filter(c -> otherwise.contains(c.risk())).isPresent();
                more |= follows && otherwise.add(risk.id());
            }
        }
        return otherwise;
    }

    private void addRisks(CompiledPlan before, CompiledPlan after, Set<String> otherwise) {
        for (String id : otherwise) {
            int was = row(before.risks(), id);
            int is = row(after.risks(), id);
            boolean always = !after.variation().treatsLike(before.variation(), id);
            if (was >= 0 || is >= 0) {
                risks.add(new Otherwise(was, is, always));
            }
        }
    }

    private static int row(RiskModel risks, String id) {
        return risks.events().stream()
                .filter(event -> event.risk().id().equals(id))
                .mapToInt(RiskEvent::index)
                .findFirst()
                .orElse(-1);
    }

    private static BitSet rows(RiskModel risks, Set<String> ids) {
        BitSet rows = new BitSet();
        risks.events().stream()
                .filter(event -> ids.contains(event.risk().id()))
                .forEach(event -> rows.set(event.index()));
        return rows;
    }

    private static boolean any(List<Hit> hits, BitSet rows) {
        return hits.stream().anyMatch(hit -> rows.get(hit.impact().event()));
    }

    private static int[] added(CompiledPlan before, CompiledPlan after, BitSet rowsBefore, BitSet rowsAfter) {
        Map<String, Integer> known = new HashMap<>();
        List<AddedCost> were = before.costs().added();
        for (int i = 0; i < were.size(); i++) {
            if (!rowsBefore.get(were.get(i).hit().impact().event())) {
                known.put(identity(were.get(i)), i);
            }
        }
        return after.costs().added().stream()
                .mapToInt(one -> rowsAfter.get(one.hit().impact().event()) ? -1 : known.getOrDefault(identity(one), -1))
                .toArray();
    }

    private static String identity(AddedCost one) {
        return one.target() + "\n" + one.hit().impact().identity();
    }

    /** Whether anything but what actions cost can come out otherwise. */
    boolean isOtherwise() {
        return positions.length > 0 || !risks.isEmpty() || !repriced.isEmpty();
    }
}
