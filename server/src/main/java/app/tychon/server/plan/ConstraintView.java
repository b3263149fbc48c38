package app.tychon.server.plan;

import app.tychon.core.model.Constraint;
import app.tychon.exchange.Words;
import java.time.LocalDateTime;

/** A date constraint in the words of the project file. */
record ConstraintView(String type, LocalDateTime date) {
    static ConstraintView of(Constraint constraint) {
        return new ConstraintView(Words.of(constraint.type()), constraint.date());
    }
}
