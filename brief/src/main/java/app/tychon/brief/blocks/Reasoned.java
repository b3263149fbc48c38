package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Bars;
import app.tychon.brief.drawing.Bars.Sign;
import app.tychon.brief.ground.Reasons;
import app.tychon.brief.ground.Reasons.Reason;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.Input;
import java.util.List;
import java.util.Optional;

/** What makes the finish what it is: what one could be sure of sooner without it. */
final class Reasoned {
    private static final int USUAL_ROWS = 5;

    private Reasoned() {}

    static Content of(Scene scene) {
        List<Reason> all = Reasons.of(scene.ground(), scene.of(), false, scene.level()).stream()
                .filter(one -> Math.abs(one.adds()) >= scene.odds().day() / 20)
                .toList();
        List<Reason> reasons = all.subList(0, Math.min(all.size(), scene.rows(USUAL_ROWS)));
        if (reasons.isEmpty()) {
            return Content.words(
                    List.of("Nothing that is uncertain moves the date: {sure.finish} holds as it stands."));
        }
        for (int i = 0; i < reasons.size(); i++) {
            Reason reason = reasons.get(i);
            String key = "reason." + (i + 1);
            scene.fields().always(key + ".name", "Reason " + (i + 1), () -> name(scene, reason));
            scene.fields().always(key + ".time", "Days it adds", () -> days(scene, reason));
        }
        boolean helps = reasons.get(0).adds() < 0;
        List<Bars.Row> rows = reasons.stream()
                .map(reason -> new Bars.Row(
                        sign(scene, reason.input()),
                        name(scene, reason),
                        reason.adds(),
                        (reason.adds() < 0 ? "saves " : "") + days(scene, reason)))
                .toList();
        String alt = "What moves the date most: "
                + String.join(
                        "; ",
                        rows.stream().map(row -> row.name() + " " + row.words()).toList());
        return new Content(
                List.of("“{reason.1.name}” weighs most: without it, one could be {level} sure {reason.1.time} "
                        + (helps ? "later." : "sooner.")),
                Optional.of(Bars.of(rows, alt)),
                Optional.of(Grid.of(
                        reasons.stream()
                                .map(reason -> List.of(
                                        name(scene, reason),
                                        kind(scene, reason.input()),
                                        (reason.adds() < 0 ? "−" : "") + days(scene, reason),
                                        Double.isNaN(reason.error()) ? "" : "± " + days(scene, reason.error())))
                                .toList(),
                        "What",
                        "Kind",
                        "#Adds at " + scene.percentile(),
                        "#Known to within")),
                List.of(
                        "Each is how much sooner one could be {level} sure without its spread, or without the risk. They do not"
                                + " add up: where two delay the same work, either alone makes less of a difference. Of "
                                + scene.telling().whole(Reasons.iterations(scene.ground())) + " futures."));
    }

    private static String name(Scene scene, Reason reason) {
        return Reasons.name(scene.plan(), reason.input());
    }

    private static String days(Scene scene, Reason reason) {
        return days(scene, reason.adds());
    }

    /** Minutes of work, which have no dates: always in working days. */
    private static String days(Scene scene, double minutes) {
        double days = Math.abs(minutes) / scene.odds().day();
        return scene.telling().workingDays(days);
    }

    private static Optional<Risk> risk(Scene scene, Input input) {
        return scene.plan().risks().stream()
                .filter(risk -> risk.id().equals(input.id()))
                .filter(risk -> switch (input.kind()) {
                    case RISK, OCCURRENCE, IMPACT -> true;
                    case ESTIMATE, COST, PRICE, GROUP -> false;
                })
                .findFirst();
    }

    private static Sign sign(Scene scene, Input input) {
        return switch (input.kind()) {
            case COST, PRICE -> Sign.MONEY;
            case ESTIMATE, GROUP -> Sign.ESTIMATE;
            case RISK, OCCURRENCE, IMPACT ->
                risk(scene, input)
                                .filter(risk -> risk.kind() == Risk.Kind.OPPORTUNITY)
                                .isPresent()
                        ? Sign.OPPORTUNITY
                        : Sign.THREAT;
        };
    }

    private static String kind(Scene scene, Input input) {
        return switch (sign(scene, input)) {
            case MONEY -> "amount";
            case THREAT -> "threat";
            case OPPORTUNITY -> "opportunity";
            case ESTIMATE, NONE -> "estimate";
        };
    }
}
