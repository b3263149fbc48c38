package app.tychon.server.programmes;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.programme.Programme;
import app.tychon.core.programme.ProgrammePlan;
import app.tychon.core.programme.Tie;
import app.tychon.core.schedule.Network;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A programme with the plan that its projects make as they are now.
 *
 * @param idle ties that name something which is no longer there, with why; the plan is without them
 */
record Assembled(Programme programme, Plan plan, List<Idle> idle) {
    private static final Pattern OF_TIE = Pattern.compile("/ties/(\\d+).*");

    /** A tie that binds nothing for now. */
    record Idle(String tie, String why) {}

    /**
     * With every tie.
     *
     * @throws InvalidPlanException with every problem, loops included
     */
    static Plan whole(Programme programme) {
        Plan plan = ProgrammePlan.of(programme);
        Network.of(plan);
        return plan;
    }

    /**
     * With the ties that hold; those of which something is gone are set aside.
     *
     * @throws InvalidPlanException where it cannot be calculated even so
     */
    static Assembled lenient(Programme programme) {
        try {
            return new Assembled(programme, whole(programme), List.of());
        } catch (InvalidPlanException e) {
            List<Idle> idle = idle(programme.ties(), e.problems());
            if (idle.isEmpty()) {
                throw e;
            }
            Set<String> aside = idle.stream().map(Idle::tie).collect(Collectors.toSet());
            Programme without = programme.tiedBy(tie -> !aside.contains(tie.id()));
            return new Assembled(without, whole(without), idle);
        }
    }

    private static List<Idle> idle(List<Tie> ties, List<Problem> problems) {
        List<Idle> idle = new ArrayList<>();
        for (Problem problem : problems) {
            Matcher of = OF_TIE.matcher(problem.pointer());
            if (of.matches()) {
                idle.add(new Idle(ties.get(Integer.parseInt(of.group(1))).id(), problem.message()));
            }
        }
        return idle;
    }
}
