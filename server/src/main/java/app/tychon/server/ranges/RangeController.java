package app.tychon.server.ranges;

import app.tychon.core.uncertainty.CorrelatedPoints;
import app.tychon.core.uncertainty.StarterGrades;
import app.tychon.exchange.ranges.EvidenceReader;
import app.tychon.server.plan.EstimateWords;
import app.tychon.server.plan.GradeView;
import app.tychon.server.rights.MayRead;
import app.tychon.server.rights.WorksHere;
import app.tychon.server.web.Uploads;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Looks at ranges before anything is kept. */
@RestController
@MayRead
@RequestMapping("/api")
class RangeController {
    private static final int POINTS = 300;

    private final RangeService ranges;

    RangeController(RangeService ranges) {
        this.ranges = ranges;
    }

    /** What an estimate, in the words of the project file, would say of a row. */
    @PostMapping("/projects/{id}/ranges/{row}/look")
    RangeLook lookAtRange(
            @PathVariable UUID id, @PathVariable String row, @Words(EstimateWords.class) @RequestBody JsonNode body) {
        return ranges.look(id, row, body);
    }

    /** What the size of an effect, in the words of the project file, would say. */
    @WorksHere
    @PostMapping("/effects/look")
    RangeLook lookAtEffect(@Words(EstimateWords.class) @RequestBody JsonNode body) {
        return RangeLook.ofEffect(body);
    }

    /** What an estimate of a row would do to the finish and the cost. */
    @PostMapping("/projects/{id}/ranges/{row}/effect")
    RangeEffect effectOfRange(
            @PathVariable UUID id, @PathVariable String row, @Words(EstimateWords.class) @RequestBody JsonNode body) {
        return ranges.effect(id, row, body);
    }

    /** Past work as a table, in text or as a workbook, with the shapes that fit it. */
    @WorksHere
    @PostMapping(
            path = "/evidence/look",
            consumes = {"text/csv", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet"})
    EvidenceLook lookAtEvidence(HttpServletRequest request) throws IOException {
        return EvidenceLook.of(EvidenceReader.read(Uploads.table(request.getInputStream(), EvidenceReader::says)));
    }

    /** Whether the coefficients of a correlation, in the words of the project file, can hold together. */
    @WorksHere
    @PostMapping("/correlations/look")
    MatrixLook lookAtCorrelation(@Words(CorrelationWords.class) @RequestBody JsonNode body) {
        return MatrixLook.of(body);
    }

    /** Pairs of chances that show what a coefficient means. */
    @WorksHere
    @GetMapping("/correlations/points")
    double[][] correlatedPoints(@RequestParam double coefficient) {
        return CorrelatedPoints.of(coefficient, POINTS);
    }

    @GetMapping("/projects/{id}/correlations/effect")
    CorrelationEffect effectOfCorrelations(@PathVariable UUID id) {
        return ranges.correlations(id);
    }

    /** Grades to begin with. */
    @WorksHere
    @GetMapping("/grades/starter")
    List<GradeView> starterGrades() {
        return StarterGrades.all().stream().map(GradeView::of).toList();
    }
}
