package app.tychon.brief.workbook;

import app.tychon.brief.ground.Ground;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.SheetFiles;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Everything of a run in one workbook: a cover that says which, and a sheet for each {@link Part}. */
public final class RunWorkbook {
    private RunWorkbook() {}

    /** Writes it whole; the stream stays open. */
    public static void write(Ground ground, OutputStream out) throws IOException {
        List<Sheet> sheets = new ArrayList<>();
        sheets.add(cover(ground));
        for (Part part : Part.values()) {
            sheets.add(part.of(ground));
        }
        SheetFiles.xlsx(sheets, out);
    }

    private static Sheet cover(Ground ground) {
        Plan plan = ground.plan();
        RunResult result = ground.result();
        List<List<Object>> rows = new ArrayList<>();
        rows.add(List.of("Project", plan.project().name()));
        rows.add(
                List.of("Run", ground.run().number() > 0 ? (Object) ground.run().number() : "simulated for this file"));
        if (!ground.run().name().isEmpty()) {
            rows.add(List.of("Called", ground.run().name()));
        }
        ground.scenario().ifPresent(scenario -> rows.add(List.of("Scenario", scenario.name())));
        rows.add(List.of("Recorded", ground.run().recorded()));
        rows.add(List.of("Iterations", result.iterations()));
        // As a text: a seed may have more digits than a cell keeps.
        rows.add(List.of("Seed", Long.toString(result.settings().seed())));
        rows.add(
                List.of("Sampling", result.settings().sampling().name().equals("LATIN") ? "Latin hypercube" : "plain"));
        rows.add(List.of("Currency", plan.project().currency()));
        rows.add(
                List.of("Level of confidence, percent", plan.project().targets().confidence()));
        plan.project().targets().finish().ifPresent(date -> rows.add(List.of("Target", date)));
        plan.project().targets().cost().ifPresent(budget -> rows.add(List.of("Budget", budget)));
        rows.add(Arrays.asList("", null));
        for (Part part : Part.values()) {
            rows.add(List.of("Sheet", part.title()));
        }
        return Sheet.plain("Cover", List.of("What", "Value"), rows);
    }
}
