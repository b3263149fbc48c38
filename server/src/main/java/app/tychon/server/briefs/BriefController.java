package app.tychon.server.briefs;

import app.tychon.brief.blocks.Told;
import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.drawing.Painter;
import app.tychon.brief.drawing.Svg;
import app.tychon.brief.paper.PageDocx;
import app.tychon.brief.paper.PagePdf;
import app.tychon.brief.words.Fields.Field;
import app.tychon.exchange.table.Sheet;
import app.tychon.server.briefs.BriefPages.Whole;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Download;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.validation.Valid;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Briefs of a plan: written, read, brought up to date, taken out. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/briefs")
class BriefController {
    private static final double DOTS = 3;
    static final String PDF = "application/pdf";
    static final String DOCX = "application/vnd.openxmlformats-officedocument.wordprocessingml.document";

    private final PlanStore plans;
    private final Edits edits;
    private final BriefPages pages;

    BriefController(PlanStore plans, Edits edits, BriefPages pages) {
        this.plans = plans;
        this.edits = edits;
        this.pages = pages;
    }

    /** A brief in the list of them. */
    record BriefRow(String id, String name, String title) {}

    /** All of them, in their order. */
    @GetMapping
    List<BriefRow> briefs(@PathVariable UUID id) {
        return plans.find(id).plan().briefs().stream()
                .map(one -> new BriefRow(one.id(), one.name(), one.title()))
                .toList();
    }

    /** Briefs changed, and new ones. */
    @MayEdit
    @PatchMapping
    EditResult editBriefs(Editor editor, @Words(value = BriefWords.class, list = true) @RequestBody JsonNode body) {
        return edits.edit(editor, new BriefEdits(body));
    }

    @MayEdit
    @PostMapping("/remove")
    EditResult removeBriefs(Editor editor, @RequestBody @Valid BriefRemoval body) {
        return edits.edit(editor, body);
    }

    /**
     * A brief with its numbers; blocks that take longer are absent until they are worked out.
     *
     * @param run number of a run whose numbers it is to tell instead of its own
     */
    @GetMapping("/{brief}")
    BriefView brief(@PathVariable UUID id, @PathVariable String brief, @RequestParam(required = false) Integer run) {
        return pages.view(id, brief, Optional.ofNullable(run));
    }

    /** Which sentences another run would change. */
    @GetMapping("/{brief}/update")
    BriefUpdate briefUpdate(@PathVariable UUID id, @PathVariable String brief, @RequestParam int run) {
        return pages.update(id, brief, run);
    }

    /** Finish and cost of every scenario beside what the brief is of, to be switched in front of its readers. */
    @GetMapping("/{brief}/curves")
    List<CurveRow> briefCurves(@PathVariable UUID id, @PathVariable String brief) {
        return pages.curves(id, brief);
    }

    /** The numbers that sentences of a block can hold, with what they say. */
    @GetMapping("/{brief}/blocks/{block}/fields")
    List<Field> blockFields(@PathVariable UUID id, @PathVariable String brief, @PathVariable String block) {
        return pages.fields(id, brief, block);
    }

    @GetMapping("/{brief}/file.pdf")
    ResponseEntity<byte[]> briefPdf(@PathVariable UUID id, @PathVariable String brief) throws IOException {
        Whole whole = pages.whole(id, brief);
        return file(PagePdf.of(whole.page()), PDF, whole.name() + ".pdf");
    }

    @GetMapping("/{brief}/file.docx")
    ResponseEntity<byte[]> briefDocx(@PathVariable UUID id, @PathVariable String brief) throws IOException {
        Whole whole = pages.whole(id, brief);
        return file(PageDocx.of(whole.page()), DOCX, whole.name() + ".docx");
    }

    @GetMapping("/{brief}/blocks/{block}/drawing.svg")
    ResponseEntity<byte[]> blockSvg(@PathVariable UUID id, @PathVariable String brief, @PathVariable String block)
            throws IOException {
        Told told = pages.told(id, brief, block);
        return file(Svg.file(drawing(told)).getBytes(StandardCharsets.UTF_8), "image/svg+xml", told.heading() + ".svg");
    }

    @GetMapping("/{brief}/blocks/{block}/drawing.png")
    ResponseEntity<byte[]> blockPng(@PathVariable UUID id, @PathVariable String brief, @PathVariable String block)
            throws IOException {
        Told told = pages.told(id, brief, block);
        return file(Painter.png(drawing(told), DOTS), "image/png", told.heading() + ".png");
    }

    private static Drawing drawing(Told told) {
        return told.drawing().orElseThrow(() -> new ConflictException("This block shows no drawing."));
    }

    @GetMapping("/{brief}/blocks/{block}/table.csv")
    ResponseEntity<byte[]> blockCsv(@PathVariable UUID id, @PathVariable String brief, @PathVariable String block)
            throws IOException {
        Told told = pages.told(id, brief, block);
        return Download.csv(sheet(told), told.heading());
    }

    @GetMapping("/{brief}/blocks/{block}/table.xlsx")
    ResponseEntity<byte[]> blockXlsx(@PathVariable UUID id, @PathVariable String brief, @PathVariable String block)
            throws IOException {
        Told told = pages.told(id, brief, block);
        return Download.xlsx(sheet(told), told.heading());
    }

    private static Sheet sheet(Told told) {
        return told.grid()
                .map(grid -> grid.sheet(told.heading()))
                .orElseThrow(() -> new ConflictException("This block shows no table."));
    }

    static ResponseEntity<byte[]> file(byte[] bytes, String type, String name) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream(bytes.length);
        out.write(bytes);
        return Download.of(out, type, name);
    }
}
