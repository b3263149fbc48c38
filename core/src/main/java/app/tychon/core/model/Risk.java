package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * A row of the risk register: an event that may occur, what it does, and what would be done about it.
 *
 * @param category       levels parted by a slash, such as Authorities/Permits
 * @param probability    chance, 0 to 1, that it occurs in an iteration
 * @param recurrence     how often it strikes where it occurs; once where there is none
 * @param onlyIf         another risk it depends on
 * @param exclusiveGroup name of a group of which at most one occurs in an iteration
 * @param entry          what the register tells of it beside that
 */
@RecordBuilder
public record Risk(
        String id,
        String title,
        Kind kind,
        State state,
        String category,
        String owner,
        double probability,
        List<Impact> impacts,
        Optional<Recurrence> recurrence,
        Optional<Condition> onlyIf,
        Optional<String> exclusiveGroup,
        Optional<Response> response,
        RegisterEntry entry)
        implements RiskBuilder.With {

    public Risk {
        impacts = List.copyOf(impacts);
    }

    /** A risk of which only that is known which is simulated. */
    public Risk(
            String id,
            String title,
            Kind kind,
            State state,
            String category,
            String owner,
            double probability,
            List<Impact> impacts,
            Optional<Recurrence> recurrence,
            Optional<Condition> onlyIf,
            Optional<String> exclusiveGroup,
            Optional<Response> response) {
        this(
                id,
                title,
                kind,
                state,
                category,
                owner,
                probability,
                impacts,
                recurrence,
                onlyIf,
                exclusiveGroup,
                response,
                RegisterEntry.NONE);
    }

    public enum Kind {
        THREAT,
        OPPORTUNITY
    }

    public enum State {
        PROPOSED,
        /** The only state in which chance decides. */
        OPEN,
        CLOSED,
        /** It has happened, so it does in every iteration. */
        OCCURRED
    }

    /** Whether it takes part in a simulation at all. */
    public boolean isLive() {
        return state == State.OPEN || state == State.OCCURRED;
    }

    /** Whether it has occurred, and what it took is known. */
    public boolean isOnRecord() {
        return state == State.OCCURRED && entry.occurred().isPresent();
    }

    /**
     * What it really took, where it has occurred and that is on record: days on all that its effects on time name, money on
     * the first thing that its effects on money name, else on the project. A resource has no amount to add to, so none stands there.
     *
     * @param isResource whether an id is that of a resource
     */
    public Optional<List<Impact>> happened(Predicate<String> isResource) {
        return entry.occurred().filter(o -> isOnRecord()).map(took -> {
            List<String> late = named(true);
            String paid = named(false).stream()
                    .filter(isResource.negate())
                    .findFirst()
                    .orElse(Plan.PROJECT);
            List<Impact> facts = new ArrayList<>();
            if (took.days() != 0 && !late.isEmpty()) {
                facts.add(certain(late, Impact.Effect.ADD_TIME, took.days(), Basis.DAYS));
            }
            if (took.money() != 0) {
                facts.add(certain(List.of(paid), Impact.Effect.ADD_COST, took.money(), Basis.MONEY));
            }
            return facts;
        });
    }

    private List<String> named(boolean onTime) {
        return impacts.stream()
                .filter(impact -> impact.effect().isOnTime() == onTime)
                .flatMap(impact -> impact.on().stream())
                .distinct()
                .toList();
    }

    private static Impact certain(List<String> on, Impact.Effect effect, double size, Basis basis) {
        return new Impact(on, effect, Impact.Draw.SHARED, new Estimate(new Shape.Fixed(size), basis));
    }

    /** Whether its response is decided on, so that the plan has the risk as it is after it. */
    public boolean isAnswered() {
        return response.filter(Response::decided).isPresent();
    }

    /** The chance that it occurs as the plan has it. */
    public double presentProbability() {
        return response.filter(Response::decided).map(Response::probability).orElse(probability);
    }

    /** What it does as the plan has it. */
    public List<Impact> presentImpacts() {
        return response.filter(Response::decided).map(Response::impacts).orElse(impacts);
    }

    /** Whether it can occur in an iteration where another one did, or did not. */
    public record Condition(String risk, boolean occurs) {}
}
