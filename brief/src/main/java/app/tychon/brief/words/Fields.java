package app.tychon.brief.words;

import app.tychon.brief.ground.Odds;
import app.tychon.brief.ground.Options.Option;
import app.tychon.brief.words.Line.Change;
import app.tychon.brief.words.Line.Piece;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The numbers that sentences of a block can hold, by name; each is told only where there is such a number. */
public final class Fields {
    /** A number that a sentence can hold. */
    public record Field(String key, String label, String value) {}

    private record Entry(String label, Supplier<Optional<String>> value) {}

    private final Map<String, Entry> entries = new LinkedHashMap<>();
    /** Numbers of which there are too many to list, by what their names look like. */
    private final Map<Pattern, Function<Matcher, Optional<String>>> patterns = new LinkedHashMap<>();

    private final OptionFields options;

    /**
     * @param of        the project, a branch or an activity
     * @param level     of confidence, 0 to 1
     * @param scenarios of which the best is the option; none for all
     */
    public Fields(Odds odds, Telling telling, String of, double level, List<String> scenarios) {
        OddsFields.into(this, odds, telling, of, level);
        options = new OptionFields(odds, telling, level, scenarios);
        options.into(this);
    }

    /** The scenario that gains most of those that the block looks at. */
    public Optional<Option> best() {
        return options.best();
    }

    /** A number that there always is. */
    public void always(String key, String label, Supplier<String> value) {
        put(key, label, () -> Optional.of(value.get()));
    }

    /** A number that may be missing. */
    public void put(String key, String label, Supplier<Optional<String>> value) {
        entries.put(key, new Entry(label, value));
    }

    void pattern(Pattern keys, Function<Matcher, Optional<String>> value) {
        patterns.put(keys, value);
    }

    /** What a field says; nothing where there is no such number. */
    public Optional<String> value(String key) {
        Entry entry = entries.get(key);
        if (entry != null) {
            return entry.value().get();
        }
        for (Map.Entry<Pattern, Function<Matcher, Optional<String>>> pattern : patterns.entrySet()) {
            Matcher matcher = pattern.getKey().matcher(key);
            if (matcher.matches()) {
                return pattern.getValue().apply(matcher);
            }
        }
        return Optional.empty();
    }

    /** Whether there is such a number. */
    public boolean has(String key) {
        return value(key).isPresent();
    }

    /** All that are listed and that there are. */
    public List<Field> all() {
        List<Field> all = new ArrayList<>();
        entries.forEach(
                (key, entry) -> entry.value().get().ifPresent(value -> all.add(new Field(key, entry.label(), value))));
        return all;
    }

    /**
     * A paragraph with its numbers.
     *
     * @param seen what fields said when the words were written; none where nobody has typed them
     */
    public Line line(String template, Map<String, String> seen) {
        List<Piece> pieces = new ArrayList<>();
        Map<String, Change> changed = new LinkedHashMap<>();
        for (Template.Part part : Template.of(template).parts()) {
            if (!part.isField()) {
                pieces.add(new Piece(part.words(), "", false));
                continue;
            }
            String field = part.field();
            Optional<String> value = value(field);
            pieces.add(new Piece(value.orElse("[" + field + "]"), field, value.isEmpty()));
            String was = seen.get(field);
            String now = value.orElse("nothing");
            if (was != null && !was.equals(now)) {
                changed.put(field, new Change(field, was, now));
            }
        }
        return new Line(template, pieces, List.copyOf(changed.values()));
    }
}
