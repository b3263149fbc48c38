package app.tychon.e2e.campaign;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.exchange.ProjectFileWriter;
import app.tychon.exchange.calendar.HolidayFile;
import app.tychon.exchange.calendar.UnreadableCalendarException;
import app.tychon.exchange.calendar.WorkCalendarFile;
import app.tychon.exchange.ranges.RangeReader;
import app.tychon.exchange.schedule.ScheduleSheet;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.SheetFiles;
import app.tychon.exchange.table.Tables;
import app.tychon.exchange.table.UnreadableTableException;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Files of every kind that are read, each spoiled at random: bytes changed, taken out, doubled, cut off, numbers made huge. Each
 * must be read or refused with a sentence, within ten seconds.
 */
public final class MutatedFiles {
    private static final Duration LONGEST = Duration.ofSeconds(10);
    private static final String[] NASTY = {
        "1e999", "-1", "99999999999999999999", "\"\"", "null", "[[[[", "{", "\u0000", "=1+1", "9999-12-31", "PT", "NaN"
    };

    private record Kind(String name, byte[] sound, Reader reader) {}

    private interface Reader {
        void read(InputStream file) throws Exception;
    }

    /** What became of many files: how many were read, how many refused, and every one that did neither. */
    public record Outcome(int read, int refused, Duration slowest, List<String> faults) {}

    private MutatedFiles() {}

    /** @param demo a project file that is sound */
    public static Outcome run(Path demo, int files, long seed) throws IOException {
        List<Kind> kinds = kinds(demo);
        SplittableRandom random = new SplittableRandom(seed);
        List<String> faults = new ArrayList<>();
        Duration slowest = Duration.ZERO;
        int read = 0;
        for (int i = 0; i < files; i++) {
            Kind kind = kinds.get(i % kinds.size());
            byte[] spoiled = spoil(kind.sound(), random);
            long begun = System.nanoTime();
            try {
                kind.reader().read(new ByteArrayInputStream(spoiled));
                read++;
            } catch (InvalidPlanException
                    | UnreadableTableException
                    | UnreadableCalendarException
                    | IllegalArgumentException refused) {
                if (refused.getMessage() == null || refused.getMessage().isBlank()) {
                    faults.add(kind.name() + " " + i + ": refused without a sentence");
                }
            } catch (Exception | StackOverflowError | OutOfMemoryError e) {
                faults.add(kind.name() + " " + i + ": " + e);
            }
            Duration took = Duration.ofNanos(System.nanoTime() - begun);
            slowest = took.compareTo(slowest) > 0 ? took : slowest;
            if (took.compareTo(LONGEST) > 0) {
                faults.add(kind.name() + " " + i + ": took " + took);
            }
        }
        return new Outcome(read, files - read - faults.size(), slowest, faults);
    }

    private static List<Kind> kinds(Path demo) throws IOException {
        Plan plan;
        try (InputStream in = Files.newInputStream(demo)) {
            plan = ProjectFileReader.read(in);
        }
        Sheet schedule = ScheduleSheet.of(plan, Scheduler.schedule(Network.of(plan)));
        ByteArrayOutputStream project = new ByteArrayOutputStream();
        ProjectFileWriter.write(plan, project);
        ByteArrayOutputStream csv = new ByteArrayOutputStream();
        SheetFiles.csv(schedule, csv);
        ByteArrayOutputStream xlsx = new ByteArrayOutputStream();
        SheetFiles.xlsx(schedule, xlsx);
        ByteArrayOutputStream calendar = new ByteArrayOutputStream();
        WorkCalendarFile.write(plan.calendars().get(0), LocalDate.of(2027, 1, 1), calendar);
        Reader table = in -> RangeReader.read(Tables.read(in, RangeReader::says), plan);
        return List.of(
                new Kind("project file", project.toByteArray(), ProjectFileReader::read),
                new Kind("CSV", csv.toByteArray(), table),
                new Kind("XLSX", xlsx.toByteArray(), table),
                new Kind(
                        "iCalendar",
                        calendar.toByteArray(),
                        in -> HolidayFile.read(in, LocalDate.of(2027, 1, 1), LocalDate.of(2028, 1, 1))));
    }

    private static byte[] spoil(byte[] sound, SplittableRandom random) {
        byte[] bytes = sound;
        for (int times = 1 + random.nextInt(4); times > 0; times--) {
            int at = random.nextInt(Math.max(1, bytes.length));
            int length = Math.min(1 + random.nextInt(200), bytes.length - at);
            bytes = switch (random.nextInt(6)) {
                case 0 -> joined(bytes, at, noise(random, 1 + random.nextInt(8)), at + Math.min(1, length));
                case 1 -> joined(bytes, at, new byte[0], at + length);
                case 2 -> joined(bytes, at, Arrays.copyOfRange(bytes, at, at + length), at);
                case 3 -> Arrays.copyOf(bytes, at);
                case 4 -> joined(bytes, at, noise(random, length), at + length);
                default -> joined(bytes, at, NASTY[random.nextInt(NASTY.length)].getBytes(StandardCharsets.UTF_8), at);
            };
        }
        return bytes;
    }

    private static byte[] noise(SplittableRandom random, int length) {
        byte[] noise = new byte[length];
        random.nextBytes(noise);
        return noise;
    }

    /** What stands before a place, something else, and what stands from another place on. */
    private static byte[] joined(byte[] bytes, int until, byte[] between, int from) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(bytes.length + between.length);
        out.write(bytes, 0, until);
        out.write(between, 0, between.length);
        out.write(bytes, from, bytes.length - from);
        return out.toByteArray();
    }
}
