package app.tychon.core;

import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Risk registers made by chance for the plans of {@link RandomPlans}. Nothing in them recurs. */
final class RandomRisks {
    private final Random random;
    private final int activities;

    RandomRisks(long seed, int activities) {
        random = new Random(seed * 31 + 7);
        this.activities = activities;
    }

    List<Risk> risks() {
        List<Risk> risks = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            Risk.State state = i == 6 ? Risk.State.OCCURRED : i == 7 ? Risk.State.CLOSED : Risk.State.OPEN;
            risks.add(new Risk(
                    "K" + i,
                    "Risk " + i,
                    i % 3 == 0 ? Risk.Kind.OPPORTUNITY : Risk.Kind.THREAT,
                    state,
                    "Kind/" + i % 3,
                    "",
                    0.2 + 0.3 * random.nextDouble(),
                    impacts(i),
                    Optional.empty(),
                    i == 3 || i == 5
                            ? Optional.of(new Risk.Condition("K" + (i - 1), random.nextBoolean()))
                            : Optional.empty(),
                    i < 2 ? Optional.of("either") : Optional.empty(),
                    i % 2 == 0 ? Optional.of(response(i)) : Optional.empty()));
        }
        return risks;
    }

    private Response response(int i) {
        return new Response(
                0.1,
                impacts(i),
                List.of(new Action(
                        "Act", 500, LocalDate.of(2027, 3, 1), LocalDate.of(2027, 3, 31), "", Action.State.PLANNED)),
                i == 4);
    }

    private List<Impact> impacts(int i) {
        List<Impact> impacts = new ArrayList<>();
        impacts.add(time());
        if (i % 2 == 0) {
            impacts.add(money());
        }
        return impacts;
    }

    private Impact time() {
        boolean scale = random.nextBoolean();
        boolean each = random.nextInt(4) == 0;
        String first = target();
        List<String> on = each || first.equals("project") ? List.of(first) : List.of(first, "A" + (activities - 1));
        // Branches have many activities, each of which would have a draw of its own.
        boolean one = on.size() == 1 && first.startsWith("A");
        double middle = scale ? 1 : random.nextInt(9) - 2;
        double spread = scale ? 0.4 : 3;
        return new Impact(
                on.stream().distinct().toList(),
                scale ? Impact.Effect.SCALE_TIME : Impact.Effect.ADD_TIME,
                each && one ? Impact.Draw.EACH : Impact.Draw.SHARED,
                new Estimate(
                        new Shape.Triangular(middle - spread, middle, middle + spread),
                        scale ? Basis.FACTOR : Basis.DAYS));
    }

    private String target() {
        return switch (random.nextInt(5)) {
            case 0 -> "B" + random.nextInt(4);
            case 1 -> "project";
            default -> "A" + random.nextInt(activities - 1);
        };
    }

    private Impact money() {
        boolean scale = random.nextBoolean();
        String on = List.of("C1", "B1", "project", "A3").get(random.nextInt(4));
        return new Impact(
                List.of(on),
                scale ? Impact.Effect.SCALE_COST : Impact.Effect.ADD_COST,
                Impact.Draw.SHARED,
                new Estimate(
                        scale ? new Shape.Uniform(0.9, 1.6) : new Shape.Uniform(100, 900),
                        scale ? Basis.FACTOR : Basis.MONEY));
    }
}
