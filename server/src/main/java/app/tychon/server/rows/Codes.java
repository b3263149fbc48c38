package app.tychon.server.rows;

import app.tychon.core.model.Plan;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Codes for new rows, after the manner of the row they stand by: S45 or S50 behind S40. */
public final class Codes {
    private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d{1,8})");
    private static final int[] STEPS = {10, 5, 2, 1};

    private final Set<String> taken = new HashSet<>();
    private final Map<String, Long> searched = new HashMap<>();

    /** Codes of rows that a plan has not. */
    public Codes(Plan plan) {
        plan.wbs().forEach(node -> taken.add(node.id()));
        plan.activities().forEach(activity -> taken.add(activity.id()));
        plan.costs().forEach(line -> taken.add(line.id()));
        taken.add(Plan.PROJECT);
    }

    /** Notes that a code is in use; tells whether it was free. */
    boolean take(String code) {
        return taken.add(code);
    }

    /** A free code near another. */
    public String next(String near) {
        Matcher form = NUMBERED.matcher(near);
        String letters = form.matches() ? form.group(1) : near + ".";
        long number = form.matches() ? Long.parseLong(form.group(2)) : 0;
        int width = form.matches() ? form.group(2).length() : 2;
        for (int step : STEPS) {
            String code = code(letters, number + step, width);
            if (!taken.contains(code)) {
                return code;
            }
        }
        // Where many are asked for behind one row, the search goes on where the last one ended.
        long at = Math.max(number + STEPS[0], searched.getOrDefault(letters, 0L));
        while (taken.contains(code(letters, at, width))) {
            at++;
        }
        searched.put(letters, at);
        return code(letters, at, width);
    }

    /** The first code of a letter and a number that is not among some. */
    public static String free(String letter, List<String> taken) {
        int number = 1;
        while (taken.contains(letter + number)) {
            number++;
        }
        return letter + number;
    }

    /** The next code after the manner of another that is not among some: R17 behind R16. */
    public static String after(String near, Set<String> taken) {
        Matcher form = NUMBERED.matcher(near);
        String letters = form.matches() ? form.group(1) : near;
        int width = form.matches() ? form.group(2).length() : 1;
        long number = form.matches() ? Long.parseLong(form.group(2)) : 0;
        do {
            number++;
        } while (taken.contains(code(letters, number, width)));
        return code(letters, number, width);
    }

    private static String code(String letters, long number, int width) {
        return letters + String.format("%0" + width + "d", number);
    }
}
