package app.tychon.exchange;

import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.LinkType;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** The words of the project file for the model's choices: FINISH_NO_LATER is written finishNoLater. */
public final class Words {
    private Words() {}

    public static <E extends Enum<E>> String of(E value) {
        if (value instanceof LinkType) {
            return value.name();
        }
        StringBuilder word = new StringBuilder();
        for (String part : value.name().toLowerCase(Locale.ROOT).split("_")) {
            word.append(word.isEmpty() ? part : Character.toUpperCase(part.charAt(0)) + part.substring(1));
        }
        return word.toString();
    }

    static <E extends Enum<E>> E read(JsonCursor at, E[] choices) {
        String text = at.text();
        Optional<E> found =
                Arrays.stream(choices).filter(c -> of(c).equals(text)).findFirst();
        if (found.isEmpty() && !text.equals("?")) {
            at.problem("must be one of " + Arrays.stream(choices).map(Words::of).collect(Collectors.joining(", "))
                    + ", not " + at.quoted());
        }
        return found.orElse(choices[0]);
    }

    public static ActivityKind kind(JsonCursor at) {
        return read(at, ActivityKind.values());
    }

    public static ConstraintType constraint(JsonCursor at) {
        return read(at, ConstraintType.values());
    }

    public static CombineRisks combineRisks(JsonCursor at) {
        return read(at, CombineRisks.values());
    }

    static LinkType link(JsonCursor at) {
        return read(at, LinkType.values());
    }

    static Basis basis(JsonCursor at) {
        return read(at, Basis.values());
    }

    static CostTiming timing(JsonCursor at) {
        return read(at, CostTiming.values());
    }

    public static LagCalendar lagCalendar(JsonCursor at) {
        return read(at, LagCalendar.values());
    }
}
