package app.tychon.server.imports;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.schedule.Fidelity;
import app.tychon.exchange.schedule.ScheduleReader;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.DateWords;
import app.tychon.exchange.table.Table;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a table would become, before anything of it is kept.
 *
 * @param columns in the table's order
 * @param sample the first rows, and the first of those with problems, as they are
 * @param rows how many there are
 * @param problems the first of them; with any, the table cannot be taken over
 * @param problemCount how many there are
 * @param notes what is left out without harm, the first of it
 * @param ranges activities with a range of their own
 * @param firstDay the earliest start in the table, where it has one
 * @param dataDate up to which it reports progress, where it does
 * @param finish when the plan would finish; absent where there are problems
 * @param compared activities of which the table has a date of its own
 * @param differences where our dates differ from the table's, the first of them
 * @param differenceCount how many there are
 */
record SchedulePreview(
        List<Column> columns,
        List<SampleRow> sample,
        int rows,
        List<CellProblem> problems,
        int problemCount,
        List<CellProblem> notes,
        int activities,
        int links,
        int ranges,
        @Nullable LocalDate firstDay,
        @Nullable LocalDateTime dataDate,
        @Nullable LocalDateTime finish,
        int compared,
        List<Fidelity.Difference> differences,
        int differenceCount) {
    /** Problems and differences that are told one by one. */
    static final int MOST = 500;

    private static final int SAMPLE_ROWS = 12;
    private static final int FAULTY_ROWS = 50;

    /**
     * A column of the table.
     *
     * @param meaning what it is taken to say; absent where it is left out
     */
    record Column(String header, @Nullable String meaning) {}

    /**
     * A row of the table, a cell for every column.
     *
     * @param row as the file counts them
     */
    record SampleRow(int row, List<String> cells) {}

    static SchedulePreview of(Reading reading, ScheduleReader.Read read) {
        Plan plan = read.plan();
        Table table = reading.table();
        boolean sound = read.problems().isEmpty();
        Fidelity.Report fidelity = sound ? Fidelity.of(read) : new Fidelity.Report(0, List.of());
        return new SchedulePreview(
                columns(reading),
                shown(table, read)
                        .map(row -> new SampleRow(
                                row.number(),
                                IntStream.range(0, table.header().size())
                                        .mapToObj(row::cell)
                                        .toList()))
                        .toList(),
                table.rows().size(),
                read.problems().stream().limit(MOST).toList(),
                read.problems().size(),
                read.notes().stream().limit(MOST).toList(),
                plan.activities().size(),
                plan.links().size(),
                (int) plan.activities().stream()
                        .filter(a -> a.estimate().isPresent())
                        .count(),
                firstDay(read).orElse(null),
                plan.project().dataDate().orElse(null),
                sound ? Instants.toCivil(Scheduler.schedule(Network.of(plan)).finish()) : null,
                fidelity.compared(),
                fidelity.differences().stream().limit(MOST).toList(),
                fidelity.differences().size());
    }

    private static Stream<Table.Row> shown(Table table, ScheduleReader.Read read) {
        Set<Integer> faulty = read.problems().stream()
                .map(CellProblem::row)
                .distinct()
                .limit(FAULTY_ROWS)
                .collect(Collectors.toSet());
        return IntStream.range(0, table.rows().size())
                .filter(i ->
                        i < SAMPLE_ROWS || faulty.contains(table.rows().get(i).number()))
                .mapToObj(table.rows()::get);
    }

    /** The earliest start that a table has. */
    static Optional<LocalDate> firstDay(ScheduleReader.Read read) {
        return read.dates().values().stream()
                .flatMap(dated -> dated.start().stream())
                .map(DateWords.Moment::day)
                .min(LocalDate::compareTo);
    }

    private static List<Column> columns(Reading reading) {
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i < reading.table().header().size(); i++) {
            int index = i;
            String meaning = reading.columns().entrySet().stream()
                    .filter(e -> e.getValue() == index)
                    .map(e -> e.getKey().title())
                    .findFirst()
                    .orElse(null);
            columns.add(new Column(reading.table().header().get(i), meaning));
        }
        return columns;
    }
}
