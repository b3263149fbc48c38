package app.tychon.server.calendars;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.CalendarException;
import app.tychon.exchange.CalendarJson;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.List;
import java.util.Map;

/**
 * A calendar in the words of the project file.
 *
 * @param week shifts of each day, mon to sun: pairs of times such as 08:00 and 12:00
 */
record CalendarWords(
        String id,
        String name,
        double hoursPerDay,
        Map<String, List<List<String>>> week,
        List<ExceptionWords> exceptions) {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    /** Days, both inclusive, on which other shifts hold; none means closed. */
    record ExceptionWords(String from, String to, String name, List<List<String>> shifts) {
        static ExceptionWords of(CalendarException closed) {
            return new ExceptionWords(closed.from().toString(), closed.to().toString(), closed.name(), List.of());
        }
    }

    static CalendarWords of(CalendarDefinition calendar) {
        return MAPPER.convertValue(CalendarJson.write(calendar), CalendarWords.class);
    }
}
