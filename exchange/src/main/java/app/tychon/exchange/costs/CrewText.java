package app.tychon.exchange.costs;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.exchange.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The resources at work on an activity, as people write them: {@code crew 0.5; optics 2; anchors 48}; one unit unless said. */
public final class CrewText {
    private static final Pattern PART = Pattern.compile("(.+?)(?:\\s*[×x*]?\\s*([\\d.,]+)\\s*(%?))?");
    private static final double PERCENT = 100;

    private CrewText() {}

    /** @throws IllegalArgumentException with the reason, where a part names no resource or no amount of it */
    public static List<Assignment> read(String text, String activity, Plan plan) {
        List<Assignment> all = new ArrayList<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                all.add(part(part.strip(), activity, plan));
            }
        }
        return all;
    }

    private static Assignment part(String text, String activity, Plan plan) {
        Optional<Resource> whole = find(text, plan);
        if (whole.isPresent()) {
            return new Assignment(activity, whole.get().id(), 1);
        }
        Matcher form = PART.matcher(text);
        Optional<Resource> resource = form.matches() ? find(form.group(1), plan) : Optional.empty();
        if (resource.isEmpty()) {
            throw new IllegalArgumentException(
                    "there is no resource \"" + text.replaceFirst("\\s*[\\d.,]+%?$", "") + "\"" + known(plan));
        }
        String units = form.group(2);
        try {
            double number = units == null ? 1 : Double.parseDouble(units.replace(',', '.'));
            boolean percent = "%".equals(form.group(3));
            return new Assignment(activity, resource.get().id(), percent ? number / PERCENT : number);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("\"" + units + "\" is no number of units, as in crew 0.5");
        }
    }

    private static String known(Plan plan) {
        return plan.resources().isEmpty()
                ? "; there are no resources yet"
                : "; there are "
                        + plan.resources().stream().limit(6).map(Resource::id).collect(Collectors.joining(", "));
    }

    private static Optional<Resource> find(String text, Plan plan) {
        String small = text.strip().toLowerCase(Locale.ROOT);
        return plan.resources().stream()
                .filter(one -> one.id().toLowerCase(Locale.ROOT).equals(small))
                .findFirst()
                .or(() -> plan.resources().stream()
                        .filter(one -> one.name().toLowerCase(Locale.ROOT).equals(small))
                        .findFirst());
    }

    /** A text that is read as the same. */
    public static String of(List<Assignment> all) {
        return all.stream()
                .map(one -> one.units() == 1 ? one.resource() : one.resource() + " " + Numbers.text(one.units()))
                .collect(Collectors.joining("; "));
    }

    /** The activities on which a resource works, as people write them: {@code I10; I20 0.5}. */
    public static String places(List<Assignment> all) {
        return all.stream()
                .map(one -> one.units() == 1 ? one.activity() : one.activity() + " " + Numbers.text(one.units()))
                .collect(Collectors.joining("; "));
    }

    /** @throws IllegalArgumentException with the reason, where a part names no activity or no amount */
    public static List<Assignment> readPlaces(String text, String resource, Plan plan) {
        List<Assignment> all = new ArrayList<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                String[] said = part.strip().split("\\s+(?=[\\d.,]+$)", 2);
                String activity = plan.activities().stream()
                        .filter(one ->
                                one.id().equalsIgnoreCase(said[0]) || one.name().equalsIgnoreCase(said[0]))
                        .map(one -> one.id())
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("there is no activity \"" + said[0] + "\""));
                double units = said.length < 2 ? 1 : Double.parseDouble(said[1].replace(',', '.'));
                all.add(new Assignment(activity, resource, units));
            }
        }
        return all;
    }
}
