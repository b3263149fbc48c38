package app.tychon.exchange.table;

import app.tychon.core.calendar.Instants;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.result.RunResult;
import java.io.IOException;
import java.io.Writer;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Every iteration of a run as a row: of the project finish, working duration in minutes, and cost apart by cause. */
public final class IterationsCsv {
    private IterationsCsv() {}

    /** Writes all rows under a header; the writer stays open. */
    public static void write(RunResult result, Writer writer) throws IOException {
        double[] totals = result.cost().totals();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader(
                        "iteration",
                        "finish",
                        "durationMinutes",
                        "cost",
                        "planned",
                        "spread",
                        "timeDriven",
                        "risk",
                        "actions")
                .get();
        CSVPrinter csv = new CSVPrinter(writer, format);
        for (int i = 0; i < result.iterations(); i++) {
            csv.printRecord(
                    i + 1,
                    Instants.toCivil(result.finish()[i]),
                    result.duration()[i],
                    totals[i],
                    result.cost().planned(),
                    result.cost().spread()[i],
                    result.cost().timeDriven()[i],
                    result.cost().risk()[i],
                    result.cost().actions());
        }
        csv.flush();
    }

    /** Writes all values of an activity or branch, likewise; cost is empty where no money stands on it. */
    public static void write(Output output, Writer writer) throws IOException {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader("iteration", "start", "finish", "durationMinutes", "cost")
                .get();
        CSVPrinter csv = new CSVPrinter(writer, format);
        for (int i = 0; i < output.finish().length; i++) {
            csv.printRecord(
                    i + 1,
                    Instants.toCivil(output.start()[i]),
                    Instants.toCivil(output.finish()[i]),
                    output.duration()[i],
                    output.cost().length == 0 ? "" : output.cost()[i]);
        }
        csv.flush();
    }
}
