package app.tychon.core.programme;

import app.tychon.core.model.Action;
import app.tychon.core.model.Part;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Outputs;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.ResponseActions;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What became of one project in the futures of its programme, a value an iteration.
 *
 * @param finish instants in minutes; minus infinity where it has no work
 * @param cost   in the programme's currency, with the actions that are decided on; empty where no money stands on it
 * @param decided what those actions cost
 */
public record MemberFutures(Part part, double[] finish, double[] cost, double decided) {

    /** Of each project, in the order of the programme. What a run did not keep is simulated again. */
    public static List<MemberFutures> of(CompiledPlan plan, RunResult result, RunMonitor monitor) {
        Map<String, Output> kept = new HashMap<>();
        result.outputs().forEach(output -> kept.put(output.id(), output));
        return plan.network().plan().parts().stream()
                .map(part -> {
                    Output output = kept.containsKey(part.root())
                            ? kept.get(part.root())
                            : Outputs.of(plan, result.settings(), result.iterations(), part.root(), monitor);
                    double actions = actions(plan.network().plan(), part);
                    double[] cost = Arrays.stream(output.cost())
                            .map(money -> money + actions)
                            .toArray();
                    return new MemberFutures(part, output.finish(), cost, actions);
                })
                .toList();
    }

    /** What is decided on stands on no row. */
    private static double actions(Plan plan, Part part) {
        Plan own = plan.withRisks(plan.risks().stream()
                .filter(risk -> risk.id().startsWith(part.prefix()))
                .toList());
        return ResponseActions.decided(own).stream().mapToDouble(Action::cost).sum();
    }
}
