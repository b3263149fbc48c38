package app.tychon.server.risks;

import app.tychon.core.model.Plan;
import app.tychon.exchange.risks.RegisterColumns;
import app.tychon.exchange.risks.RegisterSheet;
import app.tychon.exchange.table.Table;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Download;
import app.tychon.server.web.MendedCells;
import app.tychon.server.web.TablePreview;
import app.tychon.server.web.Uploads;
import java.io.IOException;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** The register as a table, out and in. {@code mended} has cells typed anew, a line each: ROW:COLUMN:TEXT. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class RegisterFileController {

    private final PlanStore plans;
    private final Edits edits;

    RegisterFileController(PlanStore plans, Edits edits) {
        this.plans = plans;
        this.edits = edits;
    }

    @GetMapping("/risks.csv")
    ResponseEntity<byte[]> downloadRisksCsv(@PathVariable UUID id) throws IOException {
        Plan plan = plans.find(id).plan();
        return Download.csv(RegisterSheet.of(plan), plan.project().name() + ", risks");
    }

    @GetMapping("/risks.xlsx")
    ResponseEntity<byte[]> downloadRisksXlsx(@PathVariable UUID id) throws IOException {
        Plan plan = plans.find(id).plan();
        return Download.xlsx(RegisterSheet.of(plan), plan.project().name() + ", risks");
    }

    /** What a register would change. */
    @PostMapping(path = "/risks/file/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TablePreview previewRegister(
            @PathVariable UUID id, @RequestPart MultipartFile file, @RequestParam(defaultValue = "") String mended)
            throws IOException {
        return RegisterPreview.of(plans.find(id).plan(), table(file, mended));
    }

    /** Takes a register over; {@code removeGone} takes out what it has not. */
    @MayEdit
    @PostMapping(path = "/risks/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    EditResult takeOverRegister(
            Editor editor,
            @RequestPart MultipartFile file,
            @RequestParam(defaultValue = "") String mended,
            @RequestParam(defaultValue = "false") boolean removeGone)
            throws IOException {
        return edits.edit(editor, new RegisterFiles.TakeOver(table(file, mended), removeGone));
    }

    private static Table table(MultipartFile file, String mended) throws IOException {
        return MendedCells.in(Uploads.table(file, RegisterColumns::says), mended);
    }
}
