package app.tychon.core;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.Escalation;
import app.tychon.core.model.Instalment;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Resource.Per;
import app.tychon.core.model.Resource.RateFrom;
import app.tychon.core.model.Shape;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Money of every kind on plans made by chance: categories, prices that rise, instalments, progress, resources. */
final class RandomMoney {
    private static final List<String> CATEGORIES = List.of("", "Steel", "Steel/Dome", "Optics", "Crew");
    private static final LocalDate START = PlanBuilder.START.toLocalDate();

    private final Random random;
    private final int activities;

    private RandomMoney(long seed, int activities) {
        random = new Random(31 * seed + 7);
        this.activities = activities;
    }

    static Plan of(long seed, int activities, Plan plan) {
        RandomMoney money = new RandomMoney(seed, activities);
        return plan.edit()
                .costs(plan.costs().stream().map(money::changed).toList())
                .resources(List.of(
                        new Resource("crew", "Crew", 1400, Per.DAY)
                                .withCategory("Crew")
                                .withRates(List.of(
                                        new RateFrom(START.plusDays(40), 1500), new RateFrom(START.plusDays(90), 0))),
                        new Resource("pump", "Pump", 60, Per.HOUR),
                        new Resource("pipe", "Pipe", 25, Per.UNIT).withCategory("Steel")))
                .assignments(money.assignments())
                .escalation(List.of(
                        new Escalation("Steel", new Shape.Triangular(0.01, 0.05, 0.12)),
                        new Escalation("Crew", new Shape.Fixed(0.03))))
                .done();
    }

    private CostLine changed(CostLine line) {
        CostLine changed = line.withCategory(CATEGORIES.get(random.nextInt(CATEGORIES.size())))
                .withTiming(CostTiming.values()[random.nextInt(3)]);
        if (random.nextInt(3) == 0) {
            changed = changed.withInstalments(List.of(
                    Instalment.onDay(0.25, START.plusDays(random.nextInt(150))),
                    Instalment.at(0.5, "A" + random.nextInt(activities), Instalment.End.FINISH),
                    Instalment.at(0.25, "B1", Instalment.End.START)));
        }
        if (random.nextInt(3) == 0) {
            changed = changed.withSpent(Optional.of(100.0 + random.nextInt(900)));
        }
        return random.nextInt(5) == 0 ? changed.withToGo(Optional.of(1.0 * random.nextInt(2000))) : changed;
    }

    private List<Assignment> assignments() {
        List<Assignment> all = new ArrayList<>();
        for (String resource : List.of("crew", "pump", "pipe")) {
            int first = random.nextInt(activities);
            all.add(new Assignment("A" + first, resource, 0.5 + random.nextInt(3)));
            all.add(new Assignment("A" + (first + 1) % activities, resource, 1));
        }
        return all;
    }
}
