package app.tychon.exchange.schedule;

import app.tychon.core.model.DurationUnit;
import app.tychon.core.model.WorkDuration;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Durations as tables have them: 12, 12d, 12.5 days, 4 hrs, 2 wks, 3 edays. Days where no unit is said. */
public final class DurationWords {
    private static final Pattern FORM = Pattern.compile("([+-]?\\d+(?:[.,]\\d+)?)\\s*([a-z]*)\\.?\\??");
    private static final Map<String, DurationUnit> UNITS = Map.ofEntries(
            Map.entry("", DurationUnit.DAYS),
            Map.entry("d", DurationUnit.DAYS),
            Map.entry("day", DurationUnit.DAYS),
            Map.entry("days", DurationUnit.DAYS),
            Map.entry("dy", DurationUnit.DAYS),
            Map.entry("h", DurationUnit.HOURS),
            Map.entry("hr", DurationUnit.HOURS),
            Map.entry("hrs", DurationUnit.HOURS),
            Map.entry("hour", DurationUnit.HOURS),
            Map.entry("hours", DurationUnit.HOURS),
            Map.entry("w", DurationUnit.WEEKS),
            Map.entry("wk", DurationUnit.WEEKS),
            Map.entry("wks", DurationUnit.WEEKS),
            Map.entry("week", DurationUnit.WEEKS),
            Map.entry("weeks", DurationUnit.WEEKS),
            Map.entry("m", DurationUnit.MINUTES),
            Map.entry("min", DurationUnit.MINUTES),
            Map.entry("mins", DurationUnit.MINUTES),
            Map.entry("minutes", DurationUnit.MINUTES),
            Map.entry("ed", DurationUnit.ELAPSED_DAYS),
            Map.entry("eday", DurationUnit.ELAPSED_DAYS),
            Map.entry("edays", DurationUnit.ELAPSED_DAYS));

    private DurationWords() {}

    public static Optional<WorkDuration> read(String text) {
        Matcher matcher = FORM.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!matcher.matches() || !UNITS.containsKey(matcher.group(2))) {
            return Optional.empty();
        }
        double amount = Double.parseDouble(matcher.group(1).replace(',', '.'));
        return Optional.of(new WorkDuration(amount, UNITS.get(matcher.group(2))));
    }
}
