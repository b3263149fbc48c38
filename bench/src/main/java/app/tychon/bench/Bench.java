package app.tychon.bench;

import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs the benchmarks and prints a table a person can read. */
public final class Bench {
    private Bench() {}

    public static void main(String[] args) throws RunnerException {
        System.out.println(
                "activities  iterations  calendars  cost lines  risks   median ms   million activity-iterations/s");
        for (RunResult result : new Runner(new OptionsBuilder()
                        .include(SimulationBenchmark.class.getSimpleName())
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run()) {
            String[] size = result.getParams().getParam("size").split("x");
            double median = result.getPrimaryResult().getStatistics().getPercentile(50);
            double rate = Double.parseDouble(size[0]) * Double.parseDouble(size[1]) / median / 1000;
            System.out.printf(
                    Locale.ROOT,
                    "%10s  %10s  %9s  %10s  %5s  %10.0f  %10.1f%n",
                    size[0],
                    size[1],
                    size[2],
                    size[3],
                    size[4],
                    median,
                    rate);
        }
    }
}
