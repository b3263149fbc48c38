package app.tychon.server.runs;

import app.tychon.core.analysis.PercentileInterval;
import app.tychon.core.analysis.Sample;
import app.tychon.core.calendar.Instants;
import app.tychon.exchange.table.IterationsCsv;
import app.tychon.server.web.Download;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.function.DoubleFunction;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A recorded run as tables to be kept. */
@RestController
@RequestMapping("/api/runs/{run}")
class RunFileController {
    private static final String CSV = "text/csv;charset=UTF-8";
    /** Points of a curve: every half percent. */
    private static final int STEPS = 200;

    private final RunArchive archive;

    RunFileController(RunArchive archive) {
        this.archive = archive;
    }

    /** Writes rows. */
    @FunctionalInterface
    private interface Rows {
        void write(Writer writer) throws IOException;
    }

    /** Every iteration: finish, duration, and cost apart by cause. */
    @GetMapping("/iterations.csv")
    ResponseEntity<byte[]> downloadIterations(@PathVariable UUID run) throws IOException {
        RecordedRun opened = archive.open(run);
        return file(opened, ", iterations.csv", writer -> IterationsCsv.write(opened.result(), writer));
    }

    /** The curve of the finish: chance in percent, date, and the 95 % interval of the percentile. */
    @GetMapping("/finish.csv")
    ResponseEntity<byte[]> downloadFinish(@PathVariable UUID run) throws IOException {
        RecordedRun opened = archive.open(run);
        return file(opened, ", finish.csv", writer -> curve(opened.finish(), Instants::toCivil, writer));
    }

    /** The curve of the cost, likewise. */
    @GetMapping("/cost.csv")
    ResponseEntity<byte[]> downloadCost(@PathVariable UUID run) throws IOException {
        RecordedRun opened = archive.open(run);
        return file(opened, ", cost.csv", writer -> curve(opened.cost(), value -> value, writer));
    }

    private static void curve(Sample sample, DoubleFunction<Object> tell, Writer writer) throws IOException {
        CSVPrinter csv = new CSVPrinter(
                writer,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader("chancePercent", "value", "low95", "high95")
                        .get());
        for (int i = 0; i <= STEPS; i++) {
            PercentileInterval at = sample.percentileWithInterval((double) i / STEPS);
            csv.printRecord(100.0 * i / STEPS, tell.apply(at.value()), tell.apply(at.low()), tell.apply(at.high()));
        }
        csv.flush();
    }

    private static ResponseEntity<byte[]> file(RecordedRun run, String ending, Rows rows) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8)) {
            rows.write(writer);
        }
        return Download.of(out, CSV, run.plan().project().name() + ending);
    }
}
