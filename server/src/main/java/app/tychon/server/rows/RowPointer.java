package app.tychon.server.rows;

import app.tychon.core.model.Problem;
import java.util.List;
import java.util.function.IntFunction;

/** Tells a problem of a row of the plan where the edit of that row caused it. */
public final class RowPointer {
    private RowPointer() {}

    /**
     * The problem at the edit, such as {@code /0/name} for {@code /wbs/3/name}; as it is where no edit is about that row.
     *
     * @param section of the plan, such as wbs
     * @param idAt the id of the row at an index of the section
     * @param edited ids of the rows that are edited, edit by edit
     */
    public static Problem told(Problem problem, String section, IntFunction<String> idAt, List<String> edited) {
        String[] parts = problem.pointer().split("/");
        if (parts.length > 3 && parts[1].equals(section)) {
            int edit = edited.indexOf(idAt.apply(Integer.parseInt(parts[2])));
            if (edit >= 0) {
                return new Problem("/" + edit + "/" + parts[3], problem.message());
            }
        }
        return problem;
    }
}
