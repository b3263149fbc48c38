package app.tychon.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs the benchmarks; prints ratios within the run, then times; and puts the same into the documentation. */
public final class Bench {
    private static final String BEGIN = "<!-- measured: begin -->";
    private static final String END = "<!-- measured: end -->";

    /**
     * One time in parts of another.
     *
     * @param asked in words
     */
    private record Ratio(String what, String of, String to, String asked) {}

    private static final List<Ratio> RATIOS = List.of(
            new Ratio(
                    "speed in parts of the bare kernel's, milestones of both sides",
                    "bareKernel",
                    "mixedMilestones",
                    "0.6 or more"),
            new Ratio("two calendars, in parts of one", "twoCalendars", "oneCalendar", "at most 1.25"),
            new Ratio("five calendars, in parts of one", "fiveCalendars", "oneCalendar", "at most 1.6"),
            new Ratio("milestones of both sides, in parts of none", "mixedMilestones", "oneCalendar", "at most 1.3"),
            new Ratio(
                    "progress, hammocks and such milestones, in parts of none",
                    "underWay",
                    "oneCalendar",
                    "at most 1.3"),
            new Ratio("twice the activities, in parts of once", "oneCalendar", "halfTheActivities", "about 2"),
            new Ratio("twice the iterations, in parts of once", "oneCalendar", "halfTheIterations", "about 2"),
            new Ratio("drivers of finish and cost, in parts of the simulation", "drivers", "oneCalendar", "below 1"),
            new Ratio(
                    "effects of 200 risks, in parts of one simulation",
                    "effectsOfAllRisks",
                    "thousandIterations",
                    "below 5"),
            new Ratio(
                    "removal of 50 estimates, in parts of one simulation", "removalOfFifty", "thousandIterations", ""),
            new Ratio("float in every future, in parts of one simulation", "floats", "thousandIterations", ""),
            new Ratio(
                    "driving paths with dates, in parts of one simulation", "drivingFutures", "thousandIterations", ""),
            new Ratio("finish and cost alone, in parts of one simulation", "outcomesAlone", "thousandIterations", ""));

    private Bench() {}

    /** @param args the page in which the table is kept; none to print alone */
    public static void main(String[] args) throws RunnerException, IOException {
        Map<String, Double> medians = new TreeMap<>();
        for (RunResult result : new Runner(new OptionsBuilder()
                        .include(EngineBenchmark.class.getSimpleName())
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run()) {
            String name = result.getParams().getBenchmark();
            medians.put(
                    name.substring(name.lastIndexOf('.') + 1),
                    result.getPrimaryResult().getStatistics().getPercentile(50));
        }
        String table = String.join("\n", table(medians));
        System.out.println(table);
        if (args.length > 0) {
            keep(Path.of(args[0]), table);
        }
    }

    private static List<String> table(Map<String, Double> medians) {
        List<String> lines = new ArrayList<>(List.of("| ratio | measured | asked |", "| --- | --- | --- |"));
        for (Ratio ratio : RATIOS) {
            double value = medians.get(ratio.of()) / medians.get(ratio.to());
            lines.add(String.format(Locale.ROOT, "| %s | %.2f | %s |", ratio.what(), value, ratio.asked()));
        }
        lines.addAll(List.of("", "| measured | median, ms |", "| --- | --- |"));
        medians.forEach((name, median) -> lines.add(String.format(Locale.ROOT, "| %s | %.0f |", words(name), median)));
        double rate = 100_000 / medians.get("oneCalendar");
        lines.addAll(List.of("", String.format(Locale.ROOT, "%.1f million activity-iterations a second.", rate)));
        return lines;
    }

    /** The name of a benchmark as words. */
    private static String words(String name) {
        return name.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
    }

    private static void keep(Path page, String table) throws IOException {
        String text = Files.readString(page);
        int begin = text.indexOf(BEGIN);
        int end = text.indexOf(END);
        if (begin < 0 || end < begin) {
            throw new IOException(page + " has no place for the table, between " + BEGIN + " and " + END);
        }
        Files.writeString(page, text.substring(0, begin + BEGIN.length()) + "\n" + table + "\n" + text.substring(end));
    }
}
