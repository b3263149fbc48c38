package app.tychon.server.ranges;

import app.tychon.exchange.ranges.RangeReader;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Uploads;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Changes of how ranges are said: grades, correlations, evidence, and ranges out of a file. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
public class SpreadController {
    private final Edits edits;
    private final RangeFiles files;

    SpreadController(Edits edits, RangeFiles files) {
        this.edits = edits;
        this.files = files;
    }

    /** All grades in the words of the project file, from narrow to wide. */
    @MayEdit
    @PutMapping("/grades")
    EditResult putGrades(Editor editor, @Words(value = GradeWords.class, list = true) @RequestBody JsonNode body) {
        return edits.edit(editor, new GradesEdit(body));
    }

    /** A correlation in the words of the project file, new or in place of the one with its id. */
    @MayEdit
    @PutMapping("/correlations")
    EditResult putCorrelation(Editor editor, @Words(CorrelationWords.class) @RequestBody JsonNode body) {
        return edits.edit(editor, new CorrelationEdit(body));
    }

    @MayEdit
    @DeleteMapping("/correlations/{correlation}")
    EditResult removeCorrelation(Editor editor, @PathVariable String correlation) {
        return edits.edit(editor, new CorrelationRemoval(correlation));
    }

    /** A range fitted to past work: {@code evidence}, {@code estimate}, and {@code rows} or {@code grade}. */
    @MayEdit
    @PostMapping("/evidence")
    EditResult applyEvidence(Editor editor, @Words(FitWords.class) @RequestBody JsonNode body) {
        return edits.edit(editor, new EvidenceEdit(body));
    }

    @MayEdit
    @DeleteMapping("/evidence/{evidence}")
    EditResult removeEvidence(Editor editor, @PathVariable String evidence) {
        return edits.edit(editor, new EvidenceRemoval(evidence));
    }

    /** What a table of ranges would change. */
    @PostMapping(path = "/ranges/file/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    RangePreview previewRanges(@PathVariable UUID id, @RequestPart MultipartFile file) throws IOException {
        return files.preview(id, Uploads.table(file, RangeReader::says));
    }

    @MayEdit
    @PostMapping(path = "/ranges/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    EditResult takeOverRanges(Editor editor, @RequestPart MultipartFile file) throws IOException {
        return edits.edit(editor, new RangeTableEdit(Uploads.table(file, RangeReader::says)));
    }
}
