package app.tychon.core.model;

import java.time.LocalDateTime;

/** A date that an activity's start or finish is held to. */
public record Constraint(ConstraintType type, LocalDateTime date) {}
