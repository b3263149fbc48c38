package app.tychon.core.model;

import java.util.Optional;

/**
 * Money on an activity, a WBS branch or the whole project.
 *
 * @param on         id of an activity or a WBS branch, or {@value #PROJECT}
 * @param amount     planned amount in the project's currency
 * @param fixedShare share of the amount, 0 to 1, that does not grow with time; the rest is proportional to duration
 * @param estimate   how uncertain the amount is, for both shares alike
 */
public record CostLine(
        String id,
        String name,
        String on,
        double amount,
        double fixedShare,
        CostTiming timing,
        Optional<Estimate> estimate) {

    /** The value of {@link #on} that means the whole project. */
    public static final String PROJECT = "project";
}
