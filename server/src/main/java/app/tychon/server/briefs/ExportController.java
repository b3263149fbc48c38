package app.tychon.server.briefs;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.workbook.Part;
import app.tychon.brief.workbook.RunWorkbook;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Download;
import jakarta.annotation.Nullable;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Everything that a run was made from and what came out, as one workbook or table by table. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/exports")
class ExportController {
    private final BriefRuns runs;
    private final PlanStore plans;

    ExportController(BriefRuns runs, PlanStore plans) {
        this.runs = runs;
        this.plans = plans;
    }

    /**
     * A table that can be taken out.
     *
     * @param part  its name in addresses
     */
    record ExportRow(String part, String title) {}

    /** The tables there are. */
    @GetMapping
    List<ExportRow> exports(@PathVariable UUID id) {
        plans.find(id);
        return Arrays.stream(Part.values())
                .map(part -> new ExportRow(part.word(), part.title()))
                .toList();
    }

    /**
     * All of them in one workbook, with a cover that says run, seed and date.
     *
     * @param run number of the run; the latest where there is none
     */
    @GetMapping("/workbook.xlsx")
    ResponseEntity<byte[]> workbook(@PathVariable UUID id, @RequestParam(required = false) Integer run)
            throws IOException {
        Ground ground = ground(id, run);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        RunWorkbook.write(ground, out);
        return Download.of(out, Download.XLSX, name(ground) + ".xlsx");
    }

    /** One of them as text. */
    @GetMapping("/{part}.csv")
    ResponseEntity<byte[]> exportCsv(
            @PathVariable UUID id, @PathVariable String part, @RequestParam(required = false) Integer run)
            throws IOException {
        Part wanted = Arrays.stream(Part.values())
                .filter(one -> one.word().equals(part))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no table \"" + part + "\"; there are "
                        + String.join(
                                ", ",
                                Arrays.stream(Part.values()).map(Part::word).toList()) + "."));
        Ground ground = ground(id, run);
        return Download.csv(
                wanted.of(ground), name(ground) + ", " + wanted.title().toLowerCase(Locale.ROOT));
    }

    private Ground ground(UUID id, @Nullable Integer run) {
        plans.find(id);
        return runs.ground(id, Optional.ofNullable(run));
    }

    private static String name(Ground ground) {
        return ground.plan().project().name() + ", run " + ground.run().number();
    }
}
