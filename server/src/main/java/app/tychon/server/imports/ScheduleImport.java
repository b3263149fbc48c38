package app.tychon.server.imports;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import app.tychon.exchange.schedule.ScheduleReader;
import app.tychon.server.plan.PlanStore;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Schedules in tables: shown first as what they would become, then taken over whole or not at all. */
@Service
class ScheduleImport {
    private final PlanStore plans;

    ScheduleImport(PlanStore plans) {
        this.plans = plans;
    }

    SchedulePreview preview(Reading reading, Optional<LocalDate> start) {
        LocalDate monday = LocalDate.now().with(TemporalAdjusters.next(DayOfWeek.MONDAY));
        ScheduleReader.Read read = reading.read("Preview", start.orElse(monday));
        Optional<LocalDate> found = SchedulePreview.firstDay(read);
        if (start.isEmpty() && found.isPresent()) {
            read = reading.read("Preview", found.get());
        }
        return SchedulePreview.of(reading, read);
    }

    /**
     * Keeps a schedule as a new project.
     *
     * @throws InvalidPlanException with every problem by row and column; then nothing is kept
     */
    @Transactional
    public UUID takeOver(Reading reading, String name, LocalDate start) {
        if (name.isBlank()) {
            throw new InvalidPlanException(List.of(new Problem("name", "the project needs a name")));
        }
        return plans.insert(sound(reading.read(name.strip(), start)).plan());
    }

    /** A schedule that can be used as it is. */
    static ScheduleReader.Read sound(ScheduleReader.Read read) {
        if (!read.problems().isEmpty()) {
            throw new InvalidPlanException(read.problems().stream()
                    .limit(SchedulePreview.MOST)
                    .map(p -> new Problem("row " + p.row() + ", " + p.column(), p.message()))
                    .toList());
        }
        return read;
    }
}
