package app.tychon.core.model;

import java.util.List;
import java.util.stream.Collectors;

/** A plan that cannot be calculated; carries every problem found, not only the first. */
public final class InvalidPlanException extends RuntimeException {
    private final transient List<Problem> problems;

    public InvalidPlanException(List<Problem> problems) {
        super(problems.stream().map(Problem::toString).collect(Collectors.joining("\n")));
        this.problems = List.copyOf(problems);
    }

    public List<Problem> problems() {
        return problems;
    }
}
