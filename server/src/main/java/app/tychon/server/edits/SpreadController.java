package app.tychon.server.edits;

import app.tychon.server.web.Uploads;
import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.Parameter;
import java.io.IOException;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
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
@RequestMapping("/api/projects/{id}")
class SpreadController {
    private final Edits edits;
    private final RangeFiles files;

    SpreadController(Edits edits, RangeFiles files) {
        this.edits = edits;
        this.files = files;
    }

    /** All grades in the words of the project file, from narrow to wide. */
    @PutMapping("/grades")
    EditResult putGrades(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody JsonNode body) {
        return edits.edit(editor, new GradesEdit(body));
    }

    /** A correlation in the words of the project file, new or in place of the one with its id. */
    @PutMapping("/correlations")
    EditResult putCorrelation(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody JsonNode body) {
        return edits.edit(editor, new CorrelationEdit(body));
    }

    @DeleteMapping("/correlations/{correlation}")
    EditResult removeCorrelation(
            @Parameter(hidden = true) @ModelAttribute Editor editor, @PathVariable String correlation) {
        return edits.edit(editor, new CorrelationRemoval(correlation));
    }

    /** A range fitted to past work: {@code evidence}, {@code estimate}, and {@code rows} or {@code grade}. */
    @PostMapping("/evidence")
    EditResult applyEvidence(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody JsonNode body) {
        return edits.edit(editor, new EvidenceEdit(body));
    }

    @DeleteMapping("/evidence/{evidence}")
    EditResult removeEvidence(@Parameter(hidden = true) @ModelAttribute Editor editor, @PathVariable String evidence) {
        return edits.edit(editor, new EvidenceRemoval(evidence));
    }

    /** What a table of ranges would change. */
    @PostMapping(path = "/ranges/file/preview", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    RangePreview previewRanges(@PathVariable UUID id, @RequestPart MultipartFile file) throws IOException {
        return files.preview(id, Uploads.table(file));
    }

    @PostMapping(path = "/ranges/file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    EditResult takeOverRanges(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestPart MultipartFile file)
            throws IOException {
        return edits.edit(editor, new RangeTableEdit(Uploads.table(file)));
    }
}
