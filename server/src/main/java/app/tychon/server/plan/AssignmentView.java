package app.tychon.server.plan;

import app.tychon.core.model.Assignment;

/** A resource at work on an activity. */
public record AssignmentView(String activity, String resource, double units) {
    static AssignmentView of(Assignment one) {
        return new AssignmentView(one.activity(), one.resource(), one.units());
    }
}
