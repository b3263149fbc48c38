package app.tychon.exchange.schedule;

import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.Progress;
import app.tychon.core.model.WorkDuration;
import app.tychon.exchange.Words;
import app.tychon.exchange.table.DateWords;
import app.tychon.exchange.table.DateWords.Moment;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Table.Row;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** The cells of a schedule's row that hold dates: planned, actual, and those that work is held to. */
final class ScheduleDates {
    private static final int USUAL_START = 8;
    private static final int USUAL_FINISH = 17;
    private static final List<ScheduleColumn> DATES = List.of(
            ScheduleColumn.START,
            ScheduleColumn.FINISH,
            ScheduleColumn.ACTUAL_START,
            ScheduleColumn.ACTUAL_FINISH,
            ScheduleColumn.CONSTRAINT_DATE);

    /** Where problems with a cell are told. */
    interface Problems {
        void add(Row row, ScheduleColumn column, String message);
    }

    private final DateWords words;
    private final BiFunction<Row, ScheduleColumn, String> text;
    private final Problems problems;

    ScheduleDates(DateWords.Order order, BiFunction<Row, ScheduleColumn, String> text, Problems problems) {
        words = DateWords.of(order);
        this.text = text;
        this.problems = problems;
    }

    /** The order of a table's dates, by all of them. */
    static DateWords.Order order(Table table, Map<ScheduleColumn, Integer> columns) {
        List<String> all = new ArrayList<>();
        for (ScheduleColumn column : DATES) {
            int index = columns.getOrDefault(column, -1);
            table.rows().stream()
                    .map(row -> row.cell(index))
                    .filter(cell -> !cell.isEmpty())
                    .forEach(all::add);
        }
        return DateWords.order(all);
    }

    /** What the table says of the planned dates; what cannot be read there does no harm. */
    ScheduleReader.Dated planned(Row row) {
        return new ScheduleReader.Dated(
                words.read(text.apply(row, ScheduleColumn.START)), words.read(text.apply(row, ScheduleColumn.FINISH)));
    }

    Progress progress(Row row) {
        return new Progress(
                date(row, ScheduleColumn.ACTUAL_START, true),
                date(row, ScheduleColumn.ACTUAL_FINISH, false),
                remaining(row));
    }

    /** Of work under way; else it says nothing that dates and duration do not say. */
    private Optional<WorkDuration> remaining(Row row) {
        String cell = text.apply(row, ScheduleColumn.REMAINING);
        boolean underWay = !text.apply(row, ScheduleColumn.ACTUAL_START).isEmpty()
                && text.apply(row, ScheduleColumn.ACTUAL_FINISH).isEmpty();
        if (cell.isEmpty() || !underWay) {
            return Optional.empty();
        }
        Optional<WorkDuration> remaining = DurationWords.read(cell);
        if (remaining.isEmpty()) {
            problems.add(row, ScheduleColumn.REMAINING, "\"" + cell + "\" is no duration; write 12d, 4h or 2w");
        }
        return remaining;
    }

    Optional<Constraint> constraint(Row row) {
        String word = text.apply(row, ScheduleColumn.CONSTRAINT)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[\\s_-]", "");
        String cell = text.apply(row, ScheduleColumn.CONSTRAINT_DATE);
        if (word.isEmpty() || word.equals("none") || word.equals("assoonaspossible")) {
            return Optional.empty();
        }
        Optional<ConstraintType> type = Arrays.stream(ConstraintType.values())
                .filter(t -> Words.of(t).toLowerCase(Locale.ROOT).equals(word)
                        || Words.of(t).toLowerCase(Locale.ROOT).concat("than").equals(word))
                .findFirst();
        if (type.isEmpty()) {
            problems.add(
                    row,
                    ScheduleColumn.CONSTRAINT,
                    "\"" + text.apply(row, ScheduleColumn.CONSTRAINT) + "\" is no constraint; write one of "
                            + String.join(
                                    ", ",
                                    Arrays.stream(ConstraintType.values())
                                            .map(Words::of)
                                            .toList()));
            return Optional.empty();
        }
        if (cell.isEmpty()) {
            problems.add(row, ScheduleColumn.CONSTRAINT_DATE, "the constraint has no date");
        }
        return date(row, ScheduleColumn.CONSTRAINT_DATE, type.get().onStart())
                .map(date -> new Constraint(type.get(), date));
    }

    private Optional<LocalDateTime> date(Row row, ScheduleColumn column, boolean start) {
        String cell = text.apply(row, column);
        if (cell.isEmpty()) {
            return Optional.empty();
        }
        Optional<Moment> moment = words.read(cell);
        if (moment.isEmpty()) {
            problems.add(row, column, "\"" + cell + "\" is no date; write 2027-03-01 or 1 Mar 2027");
        }
        return moment.map(m -> m.timed() ? m.at() : m.at().plusHours(start ? USUAL_START : USUAL_FINISH));
    }
}
