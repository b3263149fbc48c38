package app.tychon.exchange.schedule;

import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.WorkDuration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Predecessors as planners write them: {@code A10; A20FS+3d; A30SS-1d}. FS where no type is said, days where no unit. */
public final class PredecessorText {
    /** A comma within a lag, as in A20FS+2,5d, separates nothing. */
    private static final Pattern SEPARATOR = Pattern.compile("[;\\n]|,(?!(?<=[+-]\\d{1,6},)\\d)");

    private static final Pattern TYPED = Pattern.compile(
            "(.+?)\\s*(FS|SS|FF|SF)\\s*(?:([+-])\\s*(\\d+(?:[.,]\\d+)?)\\s*([a-z]*))?", Pattern.CASE_INSENSITIVE);
    private static final Pattern LAGGED =
            Pattern.compile("(.+?)\\s*([+-])\\s*(\\d+(?:[.,]\\d+)?)\\s*([a-z]*)", Pattern.CASE_INSENSITIVE);

    private PredecessorText() {}

    /**
     * Reads the predecessors of an activity.
     *
     * @param known    the id an activity is known by, where the text names one; it may be its number
     * @param problems is told of every part that cannot be read
     */
    public static List<Link> read(
            String text, String successor, Function<String, Optional<String>> known, Consumer<String> problems) {
        List<Link> links = new ArrayList<>();
        for (String part : SEPARATOR.split(text)) {
            if (!part.isBlank()) {
                Optional<Link> link = link(part.strip(), successor, known);
                if (link.isPresent()) {
                    links.add(link.get());
                } else {
                    problems.accept("\"" + part.strip()
                            + "\" is no predecessor: it must name an activity of the table, with type and lag as in"
                            + " A20FS+3d where they are wanted");
                }
            }
        }
        return links;
    }

    private static Optional<Link> link(String part, String successor, Function<String, Optional<String>> known) {
        Optional<String> whole = known.apply(part);
        if (whole.isPresent()) {
            return Optional.of(new Link(whole.get(), successor, LinkType.FS, WorkDuration.ZERO));
        }
        Matcher typed = TYPED.matcher(part);
        if (typed.matches() && known.apply(typed.group(1).strip()).isPresent()) {
            LinkType type = LinkType.valueOf(typed.group(2).toUpperCase(Locale.ROOT));
            return lag(typed.group(3), typed.group(4), typed.group(5))
                    .map(lag -> new Link(known.apply(typed.group(1).strip()).get(), successor, type, lag));
        }
        Matcher lagged = LAGGED.matcher(part);
        if (lagged.matches() && known.apply(lagged.group(1).strip()).isPresent()) {
            return lag(lagged.group(2), lagged.group(3), lagged.group(4))
                    .map(lag -> new Link(known.apply(lagged.group(1).strip()).get(), successor, LinkType.FS, lag));
        }
        return Optional.empty();
    }

    private static Optional<WorkDuration> lag(String sign, String amount, String unit) {
        if (sign == null) {
            return Optional.of(WorkDuration.ZERO);
        }
        return DurationWords.read(amount + unit)
                .map(lag -> sign.equals("-") ? new WorkDuration(-lag.amount(), lag.unit()) : lag);
    }
}
