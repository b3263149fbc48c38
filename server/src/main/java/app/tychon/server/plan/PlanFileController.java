package app.tychon.server.plan;

import app.tychon.exchange.GradesFile;
import app.tychon.exchange.ProjectFileWriter;
import app.tychon.exchange.ranges.RangeSheet;
import app.tychon.exchange.schedule.ScheduleSheet;
import app.tychon.exchange.table.SheetFiles;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Download;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The plan as a file to be kept. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class PlanFileController {

    private final PlanStore plans;

    PlanFileController(PlanStore plans) {
        this.plans = plans;
    }

    /** Writes a plan in some form. */
    @FunctionalInterface
    private interface Form {
        void write(LoadedPlan plan, ByteArrayOutputStream out) throws IOException;
    }

    /** The whole project: what {@code POST /api/projects} takes. */
    @GetMapping("/file")
    ResponseEntity<byte[]> downloadProject(@PathVariable UUID id) throws IOException {
        return file(
                id,
                MediaType.APPLICATION_JSON_VALUE,
                ".tychon.json",
                (plan, out) -> ProjectFileWriter.write(plan.plan(), out));
    }

    @GetMapping("/schedule.csv")
    ResponseEntity<byte[]> downloadCsv(@PathVariable UUID id) throws IOException {
        return file(
                id,
                Download.CSV,
                ".csv",
                (plan, out) -> SheetFiles.csv(ScheduleSheet.of(plan.plan(), plan.schedule()), out));
    }

    @GetMapping("/schedule.xlsx")
    ResponseEntity<byte[]> downloadXlsx(@PathVariable UUID id) throws IOException {
        return file(
                id,
                Download.XLSX,
                ".xlsx",
                (plan, out) -> SheetFiles.xlsx(ScheduleSheet.of(plan.plan(), plan.schedule()), out));
    }

    /** The ranges alone, which {@code POST /ranges/file} takes. */
    @GetMapping("/ranges.csv")
    ResponseEntity<byte[]> downloadRangesCsv(@PathVariable UUID id) throws IOException {
        return file(id, Download.CSV, ", ranges.csv", (plan, out) -> SheetFiles.csv(RangeSheet.of(plan.plan()), out));
    }

    @GetMapping("/ranges.xlsx")
    ResponseEntity<byte[]> downloadRangesXlsx(@PathVariable UUID id) throws IOException {
        return file(
                id, Download.XLSX, ", ranges.xlsx", (plan, out) -> SheetFiles.xlsx(RangeSheet.of(plan.plan()), out));
    }

    /** The grades alone, for another project. */
    @GetMapping("/grades.json")
    ResponseEntity<byte[]> downloadGrades(@PathVariable UUID id) throws IOException {
        return file(
                id,
                MediaType.APPLICATION_JSON_VALUE,
                ", grades.json",
                (plan, out) -> GradesFile.write(plan.plan().grades(), out));
    }

    private ResponseEntity<byte[]> file(UUID id, String type, String ending, Form form) throws IOException {
        LoadedPlan plan = plans.find(id);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        form.write(plan, out);
        return Download.of(out, type, plan.plan().project().name() + ending);
    }
}
