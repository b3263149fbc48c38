package app.tychon.core;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Risks in a few words, for tests. */
public final class Risks {
    private final String id;
    private final double probability;
    private final List<Impact> impacts = new ArrayList<>();
    private Risk.State state = Risk.State.OPEN;
    private Optional<Recurrence> recurrence = Optional.empty();
    private Optional<Risk.Condition> onlyIf = Optional.empty();
    private Optional<String> group = Optional.empty();
    private Optional<Response> response = Optional.empty();

    private Risks(String id, double probability) {
        this.id = id;
        this.probability = probability;
    }

    public static Risks threat(String id, double probability) {
        return new Risks(id, probability);
    }

    public Risks addsDays(Shape days, String... on) {
        return impact(Impact.Effect.ADD_TIME, Impact.Draw.SHARED, days, Basis.DAYS, on);
    }

    public Risks impact(Impact.Effect effect, Impact.Draw draw, Shape shape, Basis basis, String... on) {
        impacts.add(new Impact(List.of(on), effect, draw, new Estimate(shape, basis)));
        return this;
    }

    public Risks state(Risk.State other) {
        state = other;
        return this;
    }

    public Risks recurs(Recurrence often) {
        recurrence = Optional.of(often);
        return this;
    }

    public Risks onlyIf(String risk, boolean occurs) {
        onlyIf = Optional.of(new Risk.Condition(risk, occurs));
        return this;
    }

    public Risks group(String name) {
        group = Optional.of(name);
        return this;
    }

    public Risks response(Response what) {
        response = Optional.of(what);
        return this;
    }

    public Risk risk() {
        return new Risk(
                id,
                "Risk " + id,
                Risk.Kind.THREAT,
                state,
                "Site/Weather",
                "",
                probability,
                impacts,
                recurrence,
                onlyIf,
                group,
                response);
    }
}
