package app.tychon.exchange.schedule;

import app.tychon.exchange.table.Table;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * How deep each row of a table lies, where branches have rows of their own: by a column of levels, by codes of which each
 * row has its own, or by blanks before the names.
 */
final class Levels {
    private static final Pattern CODE = Pattern.compile("[A-Za-z]*\\d+(\\.\\d+)*\\.?");
    private static final Set<String> BRANCH_WORDS = Set.of("branch", "summary", "wbs", "phase", "group", "wbs summary");
    private static final int DEEPEST = 30;

    private final int[] depth;
    private final boolean[] branch;

    private Levels(int[] depth, boolean[] branch) {
        this.depth = depth;
        this.branch = branch;
    }

    /** The levels of a table's rows; empty where its rows say of which branch they are, or nothing of the kind. */
    static Optional<Levels> of(Table table, Map<ScheduleColumn, Integer> columns) {
        List<Table.Row> rows = table.rows();
        int[] depth = new int[rows.size()];
        boolean deep = columns.containsKey(ScheduleColumn.LEVEL)
                ? byLevel(rows, columns.get(ScheduleColumn.LEVEL), depth)
                : columns.containsKey(ScheduleColumn.WBS)
                        ? byCode(rows, columns.get(ScheduleColumn.WBS), depth)
                        : byIndent(rows, columns.getOrDefault(ScheduleColumn.NAME, -1), depth);
        boolean[] branch = new boolean[rows.size()];
        boolean any = false;
        int kind = columns.getOrDefault(ScheduleColumn.KIND, -1);
        for (int i = 0; i < rows.size(); i++) {
            boolean called = BRANCH_WORDS.contains(rows.get(i).cell(kind).toLowerCase(Locale.ROOT));
            branch[i] = called || deep && i + 1 < rows.size() && depth[i + 1] > depth[i];
            any |= branch[i];
        }
        return any ? Optional.of(new Levels(depth, branch)) : Optional.empty();
    }

    private static boolean byLevel(List<Table.Row> rows, int column, int[] depth) {
        for (int i = 0; i < depth.length; i++) {
            String level = rows.get(i).cell(column);
            depth[i] =
                    level.matches("\\d{1,2}") ? Math.min(DEEPEST, Integer.parseInt(level)) : i == 0 ? 1 : depth[i - 1];
        }
        return true;
    }

    /** Codes that rows share name their branch; codes of their own say how deep they lie. */
    private static boolean byCode(List<Table.Row> rows, int column, int[] depth) {
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < depth.length; i++) {
            String code = rows.get(i).cell(column);
            if (!CODE.matcher(code).matches() || !seen.add(code)) {
                return false;
            }
            depth[i] = Math.min(DEEPEST, code.replaceAll("\\.$", "").split("\\.").length);
        }
        return true;
    }

    private static boolean byIndent(List<Table.Row> rows, int column, int[] depth) {
        Deque<Integer> blanks = new ArrayDeque<>();
        for (int i = 0; i < depth.length; i++) {
            int own = rows.get(i).indent(column);
            while (!blanks.isEmpty() && blanks.peek() >= own) {
                blanks.pop();
            }
            blanks.push(own);
            depth[i] = blanks.size();
        }
        return rows.stream().anyMatch(row -> row.indent(column) > 0);
    }

    boolean isBranch(int row) {
        return branch[row];
    }

    int depth(int row) {
        return depth[row];
    }
}
