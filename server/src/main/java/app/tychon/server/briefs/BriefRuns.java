package app.tychon.server.briefs;

import app.tychon.brief.ground.Ground;
import app.tychon.core.model.Brief;
import app.tychon.core.model.Scenario;
import app.tychon.server.odds.Simulations;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.runs.RunArchive;
import app.tychon.server.runs.RunView;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Which recorded run a brief tells of, and the run as a ground that can be asked. */
@Service
class BriefRuns {
    private final RunArchive archive;
    private final Simulations simulations;

    BriefRuns(RunArchive archive, Simulations simulations) {
        this.archive = archive;
        this.simulations = simulations;
    }

    /**
     * The run that is told of.
     *
     * @param run   nothing where there is none
     * @param fault why it is not the one asked for; nothing where it is
     * @param all   all runs that have results, the latest first
     */
    record Chosen(Optional<RunView> run, Optional<Scenario> scenario, Optional<String> fault, List<RunView> all) {
        /** @throws ConflictException where there is none */
        RunView needed() {
            return run.orElseThrow(() -> new ConflictException(
                    "No run is on record whose numbers this brief could tell. Record one in Odds."));
        }
    }

    /** @param number of the run; the latest where there is none */
    private Chosen choose(UUID project, Optional<Integer> number) {
        List<RunView> all = archive.list(project, null).stream()
                .filter(RunView::hasResults)
                .sorted(Comparator.comparingInt(RunView::number).reversed())
                .toList();
        Optional<RunView> found = number.flatMap(
                asked -> all.stream().filter(one -> one.number() == asked).findFirst());
        Optional<String> fault = number.isPresent() && found.isEmpty()
                ? Optional.of("Run " + number.get() + " is no longer on record"
                        + (all.isEmpty()
                                ? "."
                                : "; these are the numbers of run " + all.get(0).number() + "."))
                : Optional.empty();
        return new Chosen(found.or(() -> all.stream().findFirst()), Optional.empty(), fault, all);
    }

    /**
     * What a brief tells of.
     *
     * @param number of a run to take instead of its own
     */
    Chosen of(UUID project, Brief brief, Optional<Integer> number) {
        Chosen chosen = choose(project, number.or(brief::run));
        if (brief.scenario().isEmpty() || chosen.run().isEmpty()) {
            return chosen;
        }
        String id = brief.scenario().get();
        RunView run = chosen.needed();
        Optional<Scenario> scenario = simulations.open(run.id()).plan().scenarios().stream()
                .filter(one -> one.id().equals(id))
                .findFirst();
        Optional<String> lost = scenario.isPresent()
                ? Optional.empty()
                : Optional.of("The plan of run " + run.number() + " has no scenario “" + id
                        + "”; these are the numbers of the plan itself.");
        return new Chosen(chosen.run(), scenario, chosen.fault().or(() -> lost), chosen.all());
    }

    Ground ground(Chosen chosen) {
        RunView run = chosen.needed();
        return new RunGround(run, chosen.all(), simulations.open(run.id()), archive, chosen.scenario());
    }

    /**
     * A run of a project as it can be told of.
     *
     * @param number of the run; the latest where there is none
     * @throws NotFoundException where there is no such run
     */
    Ground ground(UUID project, Optional<Integer> number) {
        Chosen chosen = choose(project, number);
        chosen.fault().ifPresent(why -> {
            throw new NotFoundException(why);
        });
        return ground(chosen);
    }
}
