package app.tychon.exchange;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.core.model.Shift;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DayOfWeek;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A working calendar in the words of the project file. */
public final class CalendarJson {
    private static final Set<String> DAYS = Set.of("mon", "tue", "wed", "thu", "fri", "sat", "sun");
    private static final Pattern TIME = Pattern.compile("([01]\\d|2[0-4]):([0-5]\\d)");

    private CalendarJson() {}

    public static CalendarDefinition read(JsonCursor at) {
        at.allow(Set.of("id", "name", "hoursPerDay", "week", "exceptions"));
        JsonCursor week = at.get("week").allow(DAYS);
        Map<DayOfWeek, List<Shift>> shifts = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            shifts.put(day, week.list(name(day), CalendarJson::shift));
        }
        return new CalendarDefinition(
                at.get("id").text(),
                at.get("name").text(),
                at.get("hoursPerDay").number(),
                shifts,
                at.list("exceptions", CalendarJson::exception));
    }

    private static CalendarException exception(JsonCursor at) {
        at.allow(Set.of("from", "to", "name", "shifts"));
        return new CalendarException(
                at.get("from").date(),
                at.get("to").date(),
                at.optional("name", JsonCursor::text).orElse(""),
                at.list("shifts", CalendarJson::shift));
    }

    private static Shift shift(JsonCursor at) {
        List<Integer> ends = at.elements(CalendarJson::minuteOfDay);
        if (ends.size() == 2) {
            return new Shift(ends.get(0), ends.get(1));
        }
        at.problem("a shift is a pair of times such as [\"08:00\", \"12:00\"]");
        return new Shift(0, 1);
    }

    private static int minuteOfDay(JsonCursor at) {
        Matcher time = TIME.matcher(at.text());
        int minute = time.matches() ? Integer.parseInt(time.group(1)) * 60 + Integer.parseInt(time.group(2)) : -1;
        if (minute < 0 || minute > Shift.DAY) {
            at.problem("must be a time from 00:00 to 24:00, not " + at.quoted());
            return 0;
        }
        return minute;
    }

    public static ObjectNode write(CalendarDefinition calendar) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", calendar.id());
        node.put("name", calendar.name());
        Numbers.put(node, "hoursPerDay", calendar.hoursPerDay());
        ObjectNode week = node.putObject("week");
        for (DayOfWeek day : DayOfWeek.values()) {
            shifts(week.putArray(name(day)), calendar.shiftsOn(day));
        }
        ArrayNode exceptions = node.putArray("exceptions");
        for (CalendarException exception : calendar.exceptions()) {
            ObjectNode one = exceptions.addObject();
            one.put("from", exception.from().toString());
            one.put("to", exception.to().toString());
            one.put("name", exception.name());
            shifts(one.putArray("shifts"), exception.shifts());
        }
        return node;
    }

    private static void shifts(ArrayNode array, List<Shift> shifts) {
        for (Shift shift : shifts) {
            array.addArray().add(time(shift.from())).add(time(shift.to()));
        }
    }

    private static String time(int minute) {
        return String.format(Locale.ROOT, "%02d:%02d", minute / 60, minute % 60);
    }

    private static String name(DayOfWeek day) {
        return day.name().substring(0, 3).toLowerCase(Locale.ROOT);
    }
}
