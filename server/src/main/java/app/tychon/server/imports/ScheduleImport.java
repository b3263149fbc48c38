package app.tychon.server.imports;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.table.CsvTables;
import app.tychon.exchange.table.ScheduleColumn;
import app.tychon.exchange.table.ScheduleReader;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.UnreadableTableException;
import app.tychon.server.plan.PlanStore;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Schedules in tables: shown first as what they would become, then taken over whole or not at all. */
@Service
class ScheduleImport {
    private static final int FIRST_HOUR = 8;
    private static final int SAMPLE_ROWS = 12;
    private static final int MOST_PROBLEMS = 500;

    private final PlanStore plans;

    ScheduleImport(PlanStore plans) {
        this.plans = plans;
    }

    /**
     * A table with what its columns are taken to say.
     *
     * @param meanings words of {@link ScheduleColumn} in the order of the columns, empty for one that is left out; where
     *     there are none, they are guessed
     */
    private record Understood(Table table, Map<ScheduleColumn, Integer> columns) {
        static Understood of(InputStream in, List<String> meanings) throws IOException {
            try {
                Table table = CsvTables.read(in);
                return new Understood(
                        table, meanings.isEmpty() ? ScheduleColumn.guess(table.header()) : columns(meanings));
            } catch (UnreadableTableException e) {
                throw new IllegalArgumentException(e.getMessage(), e);
            }
        }

        private static Map<ScheduleColumn, Integer> columns(List<String> meanings) {
            Map<ScheduleColumn, Integer> columns = new EnumMap<>(ScheduleColumn.class);
            for (int i = 0; i < meanings.size(); i++) {
                if (!meanings.get(i).isBlank()) {
                    columns.putIfAbsent(ScheduleColumn.of(meanings.get(i).strip()), i);
                }
            }
            return columns;
        }

        ScheduleReader.Read read(String name, LocalDate start) {
            return ScheduleReader.read(table, columns, name, start.atTime(FIRST_HOUR, 0));
        }
    }

    SchedulePreview preview(InputStream in, LocalDate start, List<String> meanings) throws IOException {
        Understood understood = Understood.of(in, meanings);
        ScheduleReader.Read read = understood.read("Preview", start);
        Plan plan = read.plan();
        Table table = understood.table();
        LocalDateTime finish = read.problems().isEmpty()
                ? Instants.toCivil(Scheduler.schedule(Network.of(plan)).finish())
                : null;
        return new SchedulePreview(
                columns(understood),
                table.rows().stream()
                        .limit(SAMPLE_ROWS)
                        .map(row -> new SchedulePreview.SampleRow(
                                row.number(),
                                IntStream.range(0, table.header().size())
                                        .mapToObj(row::cell)
                                        .toList()))
                        .toList(),
                table.rows().size(),
                read.problems().stream().limit(MOST_PROBLEMS).toList(),
                read.problems().size(),
                plan.activities().size(),
                plan.links().size(),
                (int) plan.activities().stream()
                        .filter(a -> a.estimate().isPresent())
                        .count(),
                finish);
    }

    private static List<SchedulePreview.Column> columns(Understood understood) {
        List<SchedulePreview.Column> columns = new ArrayList<>();
        for (int i = 0; i < understood.table().header().size(); i++) {
            int index = i;
            String meaning = understood.columns().entrySet().stream()
                    .filter(e -> e.getValue() == index)
                    .map(e -> e.getKey().title())
                    .findFirst()
                    .orElse(null);
            columns.add(new SchedulePreview.Column(understood.table().header().get(i), meaning));
        }
        return columns;
    }

    /**
     * Keeps a schedule as a new project.
     *
     * @throws InvalidPlanException with every problem by row and column; then nothing is kept
     */
    @Transactional
    public UUID takeOver(InputStream in, String name, LocalDate start, List<String> meanings) throws IOException {
        if (name.isBlank()) {
            throw new InvalidPlanException(List.of(new Problem("name", "the project needs a name")));
        }
        ScheduleReader.Read read = Understood.of(in, meanings).read(name.strip(), start);
        if (!read.problems().isEmpty()) {
            throw new InvalidPlanException(read.problems().stream()
                    .limit(MOST_PROBLEMS)
                    .map(p -> new Problem("row " + p.row() + ", " + p.column(), p.message()))
                    .toList());
        }
        return plans.insert(read.plan());
    }
}
