package app.tychon.server.runs;

import app.tychon.core.simulation.RunSettings;
import app.tychon.core.simulation.Sampling;
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
import java.util.UUID;

/** A recorded run: its settings and what became of it; moments are in UTC. */
@Entity
@Table(name = "run")
class RunEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private int number;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private RunState state;

    private LocalDateTime startedAt;
    private LocalDateTime endedAt;
    private int asked;
    private int done;
    private long seed;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Sampling sampling;

    private long revision;

    @Column(name = "p80_finish")
    private LocalDateTime p80Finish;

    private String failure;

    protected RunEntity() {}

    RunEntity(UUID projectId, int number, RunSettings settings, long revision) {
        id = Ids.next();
        this.projectId = projectId;
        this.number = number;
        this.revision = revision;
        state = RunState.RUNNING;
        startedAt = LocalDateTime.now(ZoneOffset.UTC);
        asked = settings.iterations();
        seed = settings.seed();
        sampling = settings.sampling();
    }

    void finished(int iterations, LocalDateTime p80) {
        state = iterations < asked ? RunState.STOPPED : RunState.DONE;
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
                state.name().toLowerCase(Locale.ROOT),
                startedAt.toInstant(ZoneOffset.UTC),
                asked,
                done,
                seed,
                sampling.name().toLowerCase(Locale.ROOT),
                revision,
                p80Finish,
                failure,
                null);
    }
}
