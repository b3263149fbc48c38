package app.tychon.core.uncertainty;

import app.tychon.core.model.Grade;
import app.tychon.core.model.Shape;
import java.util.List;

/** A table of grades to begin with, from narrow to wide; each project makes it its own. */
public final class StarterGrades {
    private static final double WEIGHT = Shape.Pert.USUAL_WEIGHT;

    private StarterGrades() {}

    public static List<Grade> all() {
        return List.of(
                new Grade(
                        "routine",
                        "Routine",
                        new Shape.Triangular(0.95, 1, 1.1),
                        "R",
                        "The same crew has done the same work several times, indoors or under contract"),
                new Grade(
                        "settled",
                        "Settled",
                        new Shape.Triangular(0.9, 1, 1.25),
                        "S",
                        "Scope is drawn and priced; ordinary surprises only"),
                new Grade(
                        "likely",
                        "Likely to move",
                        new Shape.Pert(0.85, 1.05, 1.5, WEIGHT),
                        "L",
                        "Scope is clear, but weather, deliveries or others' work come into it"),
                new Grade(
                        "rough",
                        "Rough",
                        new Shape.Pert(0.75, 1.1, 1.9, WEIGHT),
                        "X",
                        "An early figure: drawings or decisions are still missing"),
                new Grade(
                        "untried",
                        "Untried",
                        new Shape.Pert(0.6, 1.2, 2.6, WEIGHT),
                        "U",
                        "Nobody here has done it before; ask for a proper estimate before promising a date"));
    }
}
