package app.tychon.server.runs;

import app.tychon.core.simulation.RunSettings;
import app.tychon.core.simulation.Sampling;
import app.tychon.core.simulation.Steadiness;
import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;

/** A recorded run: its settings and what became of it; moments are in UTC. */
@Entity
@Table(name = "run")
class RunEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private int number;
    private String name;
    private String note;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private RunState state;

    private LocalDateTime startedAt;
    private LocalDateTime endedAt;
    private int asked;
    private Double tolerance;
    private int done;
    private long seed;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Sampling sampling;

    private long revision;

    @Column(name = "p80_finish")
    private LocalDateTime p80Finish;

    private String failure;
    private LocalDateTime deletedAt;

    protected RunEntity() {}

    RunEntity(UUID projectId, int number, RunSettings settings, long revision) {
        id = Ids.next();
        this.projectId = projectId;
        this.number = number;
        this.revision = revision;
        state = RunState.RUNNING;
        startedAt = LocalDateTime.now(ZoneOffset.UTC);
        asked = settings.iterations();
        tolerance = settings.until().map(Steadiness::tolerance).orElse(null);
        seed = settings.seed();
        sampling = settings.sampling();
    }

    void call(String other, String why) {
        name = other == null || other.isBlank() ? null : other.strip();
        note = why == null || why.isBlank() ? null : why.strip();
    }

    void putAside() {
        deletedAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    void bringBack() {
        deletedAt = null;
    }

    /** How it was asked for, to be simulated again. */
    RunSettings settings(int threads) {
        return new RunSettings(
                asked,
                seed,
                sampling,
                threads,
                Optional.ofNullable(tolerance).map(t -> new Steadiness(t, RunRequest.STEADY_LEVEL)));
    }

    long revision() {
        return revision;
    }

    String name() {
        return name;
    }

    /** @param stopped whether somebody stopped it before it was through */
    void finished(int iterations, LocalDateTime p80, boolean stopped) {
        state = stopped ? RunState.STOPPED : RunState.DONE;
        done = iterations;
        p80Finish = p80;
        endedAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    void ended(RunState how, String why) {
        state = how;
        failure = why;
        endedAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    RunState state() {
        return state;
    }

    RunView view() {
        return new RunView(
                id,
                number,
                name,
                note,
                state.name().toLowerCase(Locale.ROOT),
                startedAt.toInstant(ZoneOffset.UTC),
                asked,
                tolerance,
                done,
                seed,
                sampling.name().toLowerCase(Locale.ROOT),
                revision,
                p80Finish,
                failure,
                null);
    }
}
