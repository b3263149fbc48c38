package app.tychon.core.simulation.risk;

import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.Variation;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Risks of which at most one occurs share one draw, cut into stretches as long as their probabilities. Where there is
 * room, a stretch begins at the same place before and after responses, whoever else is switched off or closed.
 */
public final class ExclusiveGroups {
    private ExclusiveGroups() {}

    /** From where to where the group's draw must fall, by id of the risk. */
    static Map<String, double[]> chances(List<Risk> risks, Variation variation) {
        Map<String, List<Risk>> groups = risks.stream()
                .filter(risk -> risk.exclusiveGroup().isPresent())
                .sorted(Comparator.comparing(Risk::id))
                .collect(Collectors.groupingBy(r -> r.exclusiveGroup().get(), TreeMap::new, Collectors.toList()));
        Map<String, double[]> chances = new HashMap<>();
        groups.values().forEach(group -> place(fitting(group), variation, chances));
        return chances;
    }

    /** Those that take no part keep their stretches, so that the others keep theirs; unless that leaves no room for them. */
    private static List<Risk> fitting(List<Risk> group) {
        return room(group) <= 1 ? group : group.stream().filter(Risk::isLive).toList();
    }

    private static double room(List<Risk> group) {
        return group.stream().mapToDouble(ExclusiveGroups::larger).sum();
    }

    private static void place(List<Risk> group, Variation variation, Map<String, double[]> chances) {
        boolean decided = group.stream().anyMatch(r -> r.state() == Risk.State.OCCURRED);
        double room = room(group);
        double from = 0;
        for (Risk risk : group) {
            double probability = probability(risk, variation);
            chances.put(risk.id(), new double[] {from, decided ? from : Math.min(1, from + probability)});
            from += room <= 1 ? larger(risk) : probability;
        }
    }

    private static double larger(Risk risk) {
        return Math.max(risk.probability(), afterResponse(risk));
    }

    private static double probability(Risk risk, Variation variation) {
        return variation.answers(risk) ? afterResponse(risk) : risk.probability();
    }

    private static double afterResponse(Risk risk) {
        return risk.response().map(Response::probability).orElse(risk.probability());
    }
}
