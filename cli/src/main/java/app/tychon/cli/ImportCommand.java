package app.tychon.cli;

import app.tychon.cli.Complaints.BadInputException;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.ProjectFileWriter;
import app.tychon.exchange.schedule.ColumnGuess;
import app.tychon.exchange.schedule.ScheduleColumn;
import app.tychon.exchange.schedule.ScheduleReader;
import app.tychon.exchange.table.CellProblem;
import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Tables;
import app.tychon.exchange.table.UnreadableTableException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.concurrent.Callable;
import me.tongfei.progressbar.ProgressBar;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Makes a project file of a schedule in a table: text or a spreadsheet. */
@Command(
        name = "import",
        mixinStandardHelpOptions = true,
        description =
                "Makes a project file of a schedule in a CSV or XLSX file with the columns id, name, wbs, duration,"
                        + " predecessors, calendar, low, likely, high, shape; name and duration must be there.")
final class ImportCommand implements Callable<Integer> {
    private static final int FIRST_HOUR = 8;

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "SCHEDULE.csv", description = "the schedule, an activity a row")
    private Path file;

    @Option(names = "--out", paramLabel = "FILE", required = true, description = "the project file to write")
    private Path out;

    @Option(names = "--start", paramLabel = "DATE", description = "first day of the project; default: next Monday")
    private LocalDate start;

    @Option(names = "--name", paramLabel = "NAME", description = "name of the project; default: that of the file")
    private String name;

    @Override
    public Integer call() {
        return new Complaints(spec).exitCode(this::bringIn);
    }

    private void bringIn() throws IOException, UnreadableTableException, BadInputException {
        Table table;
        try (InputStream in = shown(Files.newInputStream(file))) {
            table = Tables.read(in, ScheduleColumn::says);
        }
        LocalDate first = start == null ? LocalDate.now().with(TemporalAdjusters.next(DayOfWeek.MONDAY)) : start;
        String title = name == null ? file.getFileName().toString().replaceFirst("\\.[^.]*$", "") : name;
        ScheduleReader.Read read =
                ScheduleReader.read(table, ColumnGuess.of(table), title, first.atTime(FIRST_HOUR, 0));
        if (!read.problems().isEmpty()) {
            throw new BadInputException(
                    read.problems().stream().map(CellProblem::toString).toList());
        }
        ProjectFileWriter.write(read.plan(), Files.newOutputStream(out));
        tell(read.plan());
    }

    private InputStream shown(InputStream in) throws IOException {
        return Bars.of("Reading", Files.size(file))
                .map(bar -> ProgressBar.wrap(in, bar.setUnit(" kB", 1000)))
                .orElse(in);
    }

    private void tell(Plan plan) {
        double finish = Scheduler.schedule(Network.of(plan)).finish();
        spec.commandLine()
                .getOut()
                .printf(
                        "%s: %,d activities, %,d links, %,d with a range; finishes %s.%n",
                        plan.project().name(),
                        plan.activities().size(),
                        plan.links().size(),
                        plan.activities().stream()
                                .filter(a -> a.estimate().isPresent())
                                .count(),
                        Instants.toCivil(finish).toString().replace('T', ' '));
        spec.commandLine().getOut().flush();
    }
}
