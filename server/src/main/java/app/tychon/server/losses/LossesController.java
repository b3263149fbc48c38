package app.tychon.server.losses;

import app.tychon.server.losses.ExposureView.ExposureStep;
import app.tychon.server.odds.Odds;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Download;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * What risks cost together, and how that falls. {@code category} is a path in the project's tree, empty for all;
 * {@code time} counts the money of the time that they take.
 */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/risks")
class LossesController {
    private static final int BINS = 40;
    private static final double PERCENT = 100;

    private final RegisterLosses losses;
    private final RegisterExposure exposure;

    LossesController(RegisterLosses losses, RegisterExposure exposure) {
        this.losses = losses;
        this.exposure = exposure;
    }

    /** The odds of the loss, and the losses of each category. Levels are in percent. */
    @GetMapping("/losses")
    LossesView riskLosses(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String category,
            @RequestParam(defaultValue = "true") boolean time,
            @RequestParam(defaultValue = "50,80,90,95,99") List<Double> levels) {
        return losses.view(
                id, category, time, levels.stream().map(LossesController::share).toList(), BINS);
    }

    /** The loss at a chance in percent, or the chance of a loss. */
    @GetMapping("/losses/reading")
    Odds.Reading<Double> riskLossReading(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String category,
            @RequestParam(defaultValue = "true") boolean time,
            @RequestParam Optional<Double> chance,
            @RequestParam Optional<Double> value) {
        return losses.reading(id, category, time, chance.map(LossesController::share), value);
    }

    private static double share(double percent) {
        if (!(percent >= 0 && percent <= PERCENT)) {
            throw new IllegalArgumentException("a chance lies between 0 and 100 %, not " + percent);
        }
        return percent / PERCENT;
    }

    /** The loss of every future. */
    @GetMapping("/losses.csv")
    ResponseEntity<byte[]> downloadLosses(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String category,
            @RequestParam(defaultValue = "true") boolean time) {
        StringBuilder text = new StringBuilder("iteration,loss\n");
        double[] values = losses.values(id, category, time);
        for (int i = 0; i < values.length; i++) {
            text.append(i).append(',').append(values[i]).append('\n');
        }
        return csv(text, "losses.csv");
    }

    /** Both stairs, step by step: {@code decided} or {@code all}, and what holds from the day on. */
    @GetMapping("/exposure.csv")
    ResponseEntity<byte[]> downloadExposure(@PathVariable UUID id, @RequestParam(defaultValue = "") String risk) {
        ExposureView view = exposure.view(id, risk);
        StringBuilder text = new StringBuilder(
                "responses,from,days,daysAtP%d,money,moneyAtP%d,because\n".formatted(view.level(), view.level()));
        rows("decided", view.decided(), text);
        rows("all", view.all(), text);
        return csv(text, "exposure.csv");
    }

    private static void rows(String responses, List<ExposureStep> steps, StringBuilder text) {
        for (ExposureStep step : steps) {
            text.append(responses).append(',').append(step.from());
            for (double value : new double[] {step.days(), step.daysAt(), step.money(), step.moneyAt()}) {
                text.append(',').append(value);
            }
            text.append(",\"")
                    .append(String.join(" ", step.because()).replace("\"", "\"\""))
                    .append("\"\n");
        }
    }

    private static ResponseEntity<byte[]> csv(StringBuilder text, String name) {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.writeBytes(text.toString().getBytes(StandardCharsets.UTF_8));
        return Download.of(file, "text/csv;charset=UTF-8", name);
    }

    /** How the exposure falls as actions are completed and dates pass; of one {@code risk}, or of all. */
    @GetMapping("/exposure")
    ExposureView riskExposure(@PathVariable UUID id, @RequestParam(defaultValue = "") String risk) {
        return exposure.view(id, risk);
    }
}
