package app.tychon.server.runs;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.exchange.ProjectFileWriter;
import app.tychon.server.fellows.Fellows;
import app.tychon.server.memory.Recent;
import app.tychon.server.people.People;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.problems.BusyException;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.storage.ProjectStorage;
import jakarta.annotation.Nullable;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Recorded runs in and out of the database. The last few that were looked at stay decoded in memory. */
@Service
public class RunArchive {
    private static final int MOST_DECODED = 4;
    private static final long MOST_BYTES = Recent.shareOfMemory(0.1);
    private static final int MOST_OF_A_PERSON = 30;
    private static final int DAYS_TO_REPENT = 30;

    private final RunRecords records;
    private final ProjectRepository projects;
    private final People people;
    private final ProjectStorage storage;
    private final Fellows fellows;
    private final Map<UUID, RecordedRun> decoded =
            new Recent<>(MOST_DECODED, MOST_BYTES, opened -> opened.result().bytes());

    RunArchive(RunRecords records, ProjectRepository projects, People people, ProjectStorage storage, Fellows fellows) {
        this.fellows = fellows;
        this.records = records;
        this.projects = projects;
        this.people = people;
        this.storage = storage;
    }

    /** The project of a run; nothing where there is no such run. */
    @Transactional(readOnly = true)
    public Optional<UUID> projectOf(UUID run) {
        return records.projectOf(run);
    }

    /**
     * Before anything of another run is kept.
     *
     * @param person who wants it; null where that is not known
     * @throws BusyException where as many of theirs are at work or wait as may be
     * @throws ConflictException where the project keeps as much as it may
     */
    @Transactional(readOnly = true)
    public void checkRoom(UUID project, @Nullable String person) {
        if (person != null && records.running(person) >= MOST_OF_A_PERSON) {
            throw new BusyException(MOST_OF_A_PERSON
                    + " runs of yours are at work or wait already. Nothing was begun; try again when some have ended.");
        }
        storage.checkRoom(project);
    }

    /** Records that a run has begun, with its inputs as they are now. */
    @Transactional
    public RunEntity begin(UUID project, LoadedPlan plan, RunSettings settings, RunWords words) {
        projects.findForEditing(project).orElseThrow(() -> new NotFoundException("There is no such project."));
        RunEntity run = new RunEntity(project, records.nextNumber(project), settings, plan, words);
        run.worksAt(fellows.self().orElse(null));
        records.insert(run, new RunDataEntity(run.id(), compress(plan.plan())));
        return run;
    }

    @Transactional
    public void finish(UUID id, PackedRun packed, RunState how) {
        if (!records.finish(id, packed, how)) {
            throw new NotFoundException("The run ended meanwhile, or is gone.");
        }
        records.data(id).setResults(packed.results());
        records.replaceOutputs(id, packed.outputs());
        synchronized (decoded) {
            decoded.remove(id);
        }
    }

    /**
     * A run that was cut short is at work again.
     *
     * @throws ConflictException where it was not
     */
    @Transactional
    public void resume(UUID id) {
        if (!records.resume(id, fellows.self().orElse(null))) {
            records.find(id);
            throw new ConflictException("Only a run that was stopped or interrupted can go on.");
        }
    }

    /** Ends a run without results; one that has ended meanwhile stays as it ended. */
    @Transactional
    public void end(UUID id, RunState how, String why) {
        records.end(id, how, why);
    }

    /** What nobody works at any more has been cut short. */
    @Transactional
    public void markInterrupted() {
        records.endAll(RunState.INTERRUPTED, "The server was stopped while this ran.", fellows.alive());
    }

    /** Runs that a server left when it went, cut short by that. */
    @Transactional
    public List<UUID> leftBy(String server) {
        List<UUID> left = records.of(server);
        left.forEach(run -> records.end(run, RunState.INTERRUPTED, "The server that worked at this is gone."));
        return left;
    }

    /** Whether another server works at it now. */
    @Transactional(readOnly = true)
    public boolean isElsewhere(UUID id) {
        RunEntity run = records.find(id);
        String server = run.server();
        return run.isRunning()
                && server != null
                && fellows.alive().contains(server)
                && !fellows.self().equals(Optional.of(server));
    }

    @Transactional(readOnly = true)
    public List<RunView> list(UUID project, String reader) {
        List<RunEntity> runs = records.ofProject(project);
        Map<String, String> names = people.namesByKey(runs.stream().map(RunEntity::madeBy));
        return runs.stream()
                .map(run -> run.view(reader, run.madeBy() == null ? null : names.get(run.madeBy())))
                .toList();
    }

    @Transactional(readOnly = true)
    public RunView view(UUID id) {
        return records.find(id).view();
    }

    @Transactional
    public RunView call(UUID id, String name, String note) {
        records.call(id, RunWords.kept(name), RunWords.kept(note));
        return view(id);
    }

    /** Takes a run off the list; for some days it can be brought back. */
    @Transactional
    public void delete(UUID id) {
        if (!records.putAside(id, LocalDateTime.now(ZoneOffset.UTC))) {
            records.find(id);
        }
    }

    @Transactional
    public RunView bringBack(UUID id) {
        records.putAside(id, null);
        return view(id);
    }

    /** Removes what was deleted long enough ago, for good: at the start, and every night. */
    @Scheduled(cron = "0 14 3 * * *")
    @Transactional
    public void sweep() {
        records.deletedBefore(LocalDateTime.now(ZoneOffset.UTC).minusDays(DAYS_TO_REPENT))
                .forEach(records::delete);
    }

    /** A run as it was begun: its settings, and the plan it was made from with its revision. */
    record Begun(RunEntity run, LoadedPlan plan) {}

    @Transactional(readOnly = true)
    public Begun begun(UUID id) {
        RunEntity run = records.find(id);
        return new Begun(
                run, LoadedPlan.of(run.revision(), decompress(records.data(id).inputs())));
    }

    /**
     * A run with its inputs and results.
     *
     * @throws ConflictException when it has none
     */
    @Transactional(readOnly = true)
    public RecordedRun open(UUID id) {
        synchronized (decoded) {
            if (decoded.containsKey(id)) {
                return decoded.get(id);
            }
        }
        RunEntity run = records.find(id);
        if (!run.hasResults()) {
            throw new ConflictException("This run has no results.");
        }
        RunDataEntity data = records.data(id);
        RecordedRun opened = new RecordedRun(decompress(data.inputs()), ResultCodec.decode(data.results()));
        synchronized (decoded) {
            decoded.put(id, opened);
        }
        return opened;
    }

    /** All values that a run has kept of an activity or branch; nothing where it kept none. */
    @Transactional(readOnly = true)
    public Optional<Output> output(UUID id, String item) {
        return records.output(id, item).map(kept -> OutputCodec.decode(item, kept.samples()));
    }

    private static byte[] compress(Plan plan) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(bytes)) {
            ProjectFileWriter.write(plan, gzip);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    private static Plan decompress(byte[] bytes) {
        try (GZIPInputStream gzip = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
            return ProjectFileReader.read(gzip);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
