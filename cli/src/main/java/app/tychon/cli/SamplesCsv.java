package app.tychon.cli;

import app.tychon.core.calendar.Instants;
import app.tychon.core.simulation.RunResult;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Every iteration as a row: finish, working duration in minutes, and cost apart by cause. */
final class SamplesCsv {
    private SamplesCsv() {}

    static void write(RunResult result, Path file) throws IOException {
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
        try (BufferedWriter writer = Files.newBufferedWriter(file);
                CSVPrinter csv = new CSVPrinter(writer, format)) {
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
        }
    }
}
