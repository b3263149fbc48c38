package app.tychon.server.drivers;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.Input;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** In what the inputs of a plan are told: days, money, strikes. */
final class InputUnits {
    private final Plan plan;
    private final Map<String, Risk> risks = new HashMap<>();
    /** Minutes of a day of each activity's calendar. */
    private final Map<String, Double> days = new HashMap<>();

    private final double projectDay;

    InputUnits(Plan plan) {
        this.plan = plan;
        plan.risks().forEach(risk -> risks.put(risk.id(), risk));
        plan.activities()
                .forEach(activity -> days.put(activity.id(), activity.minutesPerDay(plan.calendarOf(activity))));
        projectDay = plan.projectCalendar().hoursPerDay() * 60;
    }

    /** What one unit of an input is called. */
    String of(Input input) {
        return switch (input.kind()) {
            case ESTIMATE -> "day";
            case COST -> "money";
            case PRICE -> "factor";
            case OCCURRENCE -> "strike";
            case RISK -> input.key().impact() == Input.MONEY ? "money" : "day";
            case GROUP -> unitOfGroup(input.id());
            case IMPACT ->
                switch (basisOf(input)) {
                    case DAYS -> "day";
                    case HOURS -> "hour";
                    case MONEY -> "money";
                    case FACTOR -> "factor";
                };
        };
    }

    private Basis basisOf(Input input) {
        return risks.get(input.id())
                .presentImpacts()
                .get(input.key().impact())
                .distribution()
                .basis();
    }

    private String unitOfGroup(String id) {
        List<Boolean> money = plan.correlations().stream()
                .filter(group -> group.id().equals(id))
                .flatMap(group -> group.members().stream())
                .map(member -> plan.costs().stream().anyMatch(line -> line.id().equals(member)))
                .distinct()
                .toList();
        return money.size() > 1 ? "score" : money.contains(true) ? "money" : "day";
    }

    /** How many of what an input is drawn in make one of its units: a day of work is so many minutes. */
    double each(Input input) {
        return switch (input.kind()) {
            case ESTIMATE -> days.getOrDefault(input.id(), projectDay);
            case RISK, GROUP -> of(input).equals("day") ? projectDay : 1;
            case COST, PRICE, OCCURRENCE, IMPACT -> 1;
        };
    }
}
