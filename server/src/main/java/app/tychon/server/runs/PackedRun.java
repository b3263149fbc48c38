package app.tychon.server.runs;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;

/**
 * What a run came to, ready to be stored in one go.
 *
 * @param levelFinish finish kept with the run's level
 * @param levelCost cost likewise; null where the plan has no money
 */
record PackedRun(
        int iterations, LocalDateTime levelFinish, Double levelCost, byte[] results, List<RunOutputEntity> outputs) {

    /** What is kept of it, in bytes. */
    long bytes() {
        return results.length
                + outputs.stream().mapToLong(output -> output.samples().length).sum();
    }

    /** @param level chance of the headline, 0 to 1 */
    static PackedRun of(UUID run, Plan plan, RunResult result, double level) {
        CompletableFuture<byte[]> results = CompletableFuture.supplyAsync(() -> ResultCodec.encode(result));
        List<RunOutputEntity> outputs = result.outputs().parallelStream()
                .map((Output output) -> new RunOutputEntity(run, output.id(), OutputCodec.encode(output)))
                .toList();
        double finish =
                DateSample.of(result.finish(), WorkingTimes.ofProject(plan)).percentile(level);
        return new PackedRun(
                result.iterations(),
                Instants.toCivil(finish),
                result.hasMoney() ? Sample.of(result.cost().totals()).percentile(level) : null,
                results.join(),
                outputs);
    }
}
