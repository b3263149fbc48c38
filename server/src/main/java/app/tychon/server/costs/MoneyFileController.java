package app.tychon.server.costs;

import app.tychon.core.model.Plan;
import app.tychon.exchange.costs.MoneySheet;
import app.tychon.exchange.costs.MoneySubject;
import app.tychon.exchange.table.Sheet;
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
import java.util.function.Function;
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

/** Cost lines, resources and funding as tables, out and in. {@code mended} has cells typed anew, a line each: ROW:COLUMN:TEXT. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class MoneyFileController {
    private final PlanStore plans;
    private final Edits edits;

    MoneyFileController(PlanStore plans, Edits edits) {
        this.plans = plans;
        this.edits = edits;
    }

    @GetMapping("/costs.csv")
    ResponseEntity<byte[]> downloadCostsCsv(@PathVariable UUID id) throws IOException {
        return csv(id, MoneySheet::costs, "costs");
    }

    @GetMapping("/costs.xlsx")
    ResponseEntity<byte[]> downloadCostsXlsx(@PathVariable UUID id) throws IOException {
        return xlsx(id, MoneySheet::costs, "costs");
    }

    @GetMapping("/resources.csv")
    ResponseEntity<byte[]> downloadResourcesCsv(@PathVariable UUID id) throws IOException {
        return csv(id, MoneySheet::resources, "resources");
    }

    @GetMapping("/resources.xlsx")
    ResponseEntity<byte[]> downloadResourcesXlsx(@PathVariable UUID id) throws IOException {
        return xlsx(id, MoneySheet::resources, "resources");
    }

    @GetMapping("/funding.csv")
    ResponseEntity<byte[]> downloadFundingCsv(@PathVariable UUID id) throws IOException {
        return csv(id, MoneySheet::funding, "funding");
    }

    @GetMapping("/funding.xlsx")
    ResponseEntity<byte[]> downloadFundingXlsx(@PathVariable UUID id) throws IOException {
        return xlsx(id, MoneySheet::funding, "funding");
    }

    /** What a table would change: it is of cost lines, resources or funding by its columns. */
    @PostMapping(path = "/costs/file/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TablePreview previewMoney(
            @PathVariable UUID id, @RequestPart MultipartFile file, @RequestParam(defaultValue = "") String mended)
            throws IOException {
        return MoneyPreview.of(plans.find(id).plan(), table(file, mended));
    }

    /** Takes a table over; {@code removeGone} takes out what it has not. */
    @MayEdit
    @PostMapping(path = "/costs/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    EditResult takeOverMoney(
            Editor editor,
            @RequestPart MultipartFile file,
            @RequestParam(defaultValue = "") String mended,
            @RequestParam(defaultValue = "false") boolean removeGone)
            throws IOException {
        return edits.edit(editor, new MoneyFiles.TakeOver(table(file, mended), removeGone));
    }

    private static Table table(MultipartFile file, String mended) throws IOException {
        return MendedCells.in(Uploads.table(file, MoneySubject::says), mended);
    }

    private ResponseEntity<byte[]> csv(UUID id, Function<Plan, Sheet> sheet, String what) throws IOException {
        Plan plan = plans.find(id).plan();
        return Download.csv(sheet.apply(plan), plan.project().name() + ", " + what);
    }

    private ResponseEntity<byte[]> xlsx(UUID id, Function<Plan, Sheet> sheet, String what) throws IOException {
        Plan plan = plans.find(id).plan();
        return Download.xlsx(sheet.apply(plan), plan.project().name() + ", " + what);
    }
}
