package app.tychon.server.runs;

import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.server.database.Ids;
import app.tychon.server.plan.LoadedPlan;
import jakarta.annotation.Nullable;
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

/**
 * A recorded run: its settings and what became of it; moments are in UTC. Written once; what becomes of it later is told to
 * the database by single statements of {@link RunRecords}, so that two that overlap never overwrite each other.
 */
@Entity
@Table(name = "run")
class RunEntity {
    @Id
    private UUID id;

    private UUID projectId;
    private int number;
    private String name;
    private String note;
    private String madeBy;
    private String server;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private RunState state;

    private LocalDateTime startedAt;
    private LocalDateTime endedAt;
    private int asked;
    private Double tolerance;
    private Double certainty;
    private int done;
    private long seed;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Sampling sampling;

    private long revision;

    private int level;
    private LocalDateTime levelFinish;
    private Double levelCost;

    private long bytes;
    private String failure;
    private LocalDateTime deletedAt;

    protected RunEntity() {}

    RunEntity(UUID projectId, int number, RunSettings settings, LoadedPlan plan, RunWords words) {
        id = Ids.next();
        this.projectId = projectId;
        this.number = number;
        revision = plan.revision();
        level = plan.plan().project().targets().confidence();
        madeBy = words.person();
        name = RunWords.kept(words.name());
        note = RunWords.kept(words.note());
        state = RunState.RUNNING;
        startedAt = LocalDateTime.now(ZoneOffset.UTC);
        asked = settings.iterations();
        tolerance = settings.until().map(Steadiness::tolerance).orElse(null);
        certainty = settings.until().map(Steadiness::certainty).orElse(null);
        seed = settings.seed();
        sampling = settings.sampling();
    }

    /** How it was asked for, to be simulated again. */
    RunSettings settings(int threads) {
        return new RunSettings(
                asked,
                seed,
                sampling,
                threads,
                Optional.ofNullable(tolerance).map(t -> new Steadiness(t, level / 100.0, certainty())));
    }

    long revision() {
        return revision;
    }

    String name() {
        return name;
    }

    /** What it had simulated is kept, whatever became of it. */
    boolean hasResults() {
        return state != RunState.RUNNING && done > 0;
    }

    /** Runs of before it was a choice had 95 %. */
    private double certainty() {
        return certainty == null ? Steadiness.USUAL_CERTAINTY : certainty;
    }

    int level() {
        return level;
    }

    UUID id() {
        return id;
    }

    /** Which server works at it. */
    void worksAt(String server) {
        this.server = server;
    }

    boolean isRunning() {
        return state == RunState.RUNNING;
    }

    String server() {
        return server;
    }

    int number() {
        return number;
    }

    UUID projectId() {
        return projectId;
    }

    String madeBy() {
        return madeBy;
    }

    /** For whoever listens. */
    RunView view() {
        return view(null, null);
    }

    /**
     * @param reader who asks; null where that is not known
     * @param by what whoever made it is called; null where that is not known
     */
    RunView view(@Nullable String reader, @Nullable String by) {
        return new RunView(
                id,
                number,
                name,
                note,
                state.word(),
                startedAt.toInstant(ZoneOffset.UTC),
                asked,
                tolerance,
                done,
                seed,
                sampling.name().toLowerCase(Locale.ROOT),
                revision,
                level,
                levelFinish,
                levelCost,
                failure,
                reader == null ? null : reader.equals(madeBy),
                by,
                null);
    }
}
