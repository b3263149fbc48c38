package app.tychon.server.odds;

import app.tychon.core.statistics.PercentileInterval;
import app.tychon.core.statistics.Sample;
import app.tychon.exchange.table.IterationsCsv;
import app.tychon.server.rights.MayRead;
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
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A recorded run as tables to be kept. */
@RestController
@MayRead
@RequestMapping("/api/runs/{run}")
class RunFileController {
    /** Points of a curve: every half percent. */
    private static final int STEPS = 200;

    private final Simulations simulations;

    RunFileController(Simulations simulations) {
        this.simulations = simulations;
    }

    /** Writes rows. */
    @FunctionalInterface
    private interface Rows {
        void write(Writer writer) throws IOException;
    }

    /**
     * Every iteration of the project: finish, duration, and cost apart by cause; of an activity or branch its start, finish,
     * duration and cost.
     */
    @GetMapping("/iterations.csv")
    ResponseEntity<byte[]> downloadIterations(@PathVariable UUID run, @ParameterObject Asked asked) throws IOException {
        Opened opened = simulations.open(run);
        return file(
                opened,
                name(asked, "iterations"),
                asked.isProject()
                        ? writer -> IterationsCsv.write(opened.result(), writer)
                        : writer -> IterationsCsv.write(opened.output(asked.item()), writer));
    }

    /** The curve of a start or finish: chance in percent, date, and the 95 % interval of the percentile. */
    @GetMapping("/dates.csv")
    ResponseEntity<byte[]> downloadDates(@PathVariable UUID run, @ParameterObject Asked asked) throws IOException {
        Opened opened = simulations.open(run);
        return curve(opened, opened.date(asked), asked, "finish");
    }

    /** The curve of a cost or duration, likewise. */
    @GetMapping("/amounts.csv")
    ResponseEntity<byte[]> downloadAmounts(@PathVariable UUID run, @ParameterObject Asked asked) throws IOException {
        Opened opened = simulations.open(run);
        return curve(opened, opened.amount(asked), asked, "cost");
    }

    private static String name(Asked asked, String what) {
        return (asked.isProject() ? "" : asked.item() + ", ") + what + ".csv";
    }

    private static <V> ResponseEntity<byte[]> curve(Opened run, Quantity<V> quantity, Asked asked, String usual)
            throws IOException {
        String name = name(asked, asked.quantity(usual));
        return file(run, name, writer -> curve(quantity.sample(), quantity.tell(), writer));
    }

    private static void curve(Sample sample, DoubleFunction<?> tell, Writer writer) throws IOException {
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

    private static ResponseEntity<byte[]> file(Opened run, String name, Rows rows) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8)) {
            rows.write(writer);
        }
        return Download.of(out, Download.CSV, run.plan().project().name() + ", " + name);
    }
}
