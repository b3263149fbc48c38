package app.tychon.server.briefs;

import app.tychon.brief.Briefs;
import app.tychon.brief.blocks.Teller;
import app.tychon.brief.blocks.Told;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.paper.Page;
import app.tychon.brief.words.Fields;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.Scenario;
import app.tychon.server.briefs.BriefView.BlockView;
import app.tychon.server.memory.Recent;
import app.tychon.server.odds.Opened;
import app.tychon.server.odds.Simulations;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.BusyException;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.runs.RunArchive;
import app.tychon.server.runs.RunView;
import jakarta.annotation.Nullable;
import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Tells briefs. Each block is told by itself, by a thread that waits for what it asks of the pool, and stays for whoever asks
 * again; so a brief opens with what is known, and what takes longer follows.
 */
@Service
class BriefPages {
    private static final int MOST_TOLD = 400;
    private static final int TELLERS = 4;
    /** How long whoever opens a brief waits for what takes longer. */
    private static final long PATIENCE_MS = 500;

    private static final Logger LOG = LoggerFactory.getLogger(BriefPages.class);

    private final PlanStore plans;
    private final RunArchive archive;
    private final Simulations simulations;
    private final ExecutorService tellers = Executors.newFixedThreadPool(TELLERS, BriefPages::named);
    private final Map<Asked, CompletableFuture<Told>> told = new Recent<>(MOST_TOLD);

    /** What a block's words and numbers depend on. */
    private record Asked(
            UUID run, int done, Optional<Scenario> scenario, String locale, Brief.Days days, BriefBlock block) {}

    /**
     * A brief with the run that it tells of.
     *
     * @param run    nothing where there is none
     * @param fault  why it is not the one asked for; nothing where it is
     * @param others all runs that have results
     */
    private record Bound(
            Brief brief,
            Optional<RunView> run,
            Optional<Scenario> scenario,
            Optional<String> fault,
            List<RunView> others) {}

    BriefPages(PlanStore plans, RunArchive archive, Simulations simulations) {
        this.plans = plans;
        this.archive = archive;
        this.simulations = simulations;
    }

    private static Thread named(Runnable task) {
        Thread thread = new Thread(task, "briefs");
        thread.setDaemon(true);
        return thread;
    }

    @PreDestroy
    void stop() {
        tellers.shutdownNow();
    }

    Brief brief(UUID project, String id) {
        return plans.find(project).plan().briefs().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such brief; it may have been removed."));
    }

    /** @param run number of the run to bind it to instead of its own */
    private Bound bound(UUID project, Brief brief, Optional<Integer> run) {
        List<RunView> all = archive.list(project, null).stream()
                .filter(RunView::hasResults)
                .sorted(Comparator.comparingInt(RunView::number).reversed())
                .toList();
        Optional<Integer> asked = run.or(brief::run);
        Optional<RunView> found = asked.flatMap(
                number -> all.stream().filter(one -> one.number() == number).findFirst());
        Optional<String> fault = asked.isPresent() && found.isEmpty()
                ? Optional.of("Run " + asked.get() + " is no longer on record"
                        + (all.isEmpty()
                                ? "."
                                : "; these are the numbers of run " + all.get(0).number() + "."))
                : Optional.empty();
        Optional<RunView> told = found.or(() -> all.stream().findFirst());
        if (told.isEmpty()) {
            return new Bound(brief, told, Optional.empty(), fault, all);
        }
        Optional<Scenario> scenario = brief.scenario()
                .flatMap(id -> simulations.open(told.get().id()).plan().scenarios().stream()
                        .filter(one -> one.id().equals(id))
                        .findFirst());
        Optional<String> lost = brief.scenario().isPresent() && scenario.isEmpty()
                ? Optional.of("The plan of run " + told.get().number() + " has no scenario “"
                        + brief.scenario().get() + "”; these are the numbers of the plan itself.")
                : Optional.empty();
        return new Bound(brief, told, scenario, fault.or(() -> lost), all);
    }

    private Ground ground(Bound bound) {
        RunView run = bound.run()
                .orElseThrow(() -> new ConflictException(
                        "No run is on record whose numbers this brief could tell. Record one in Odds."));
        Opened opened = simulations.open(run.id());
        return new RunGround(run, bound.others(), opened, archive, bound.scenario());
    }

    /**
     * A run of a project as it can be told of.
     *
     * @param run its number; the latest where there is none
     * @throws NotFoundException where there is no such run, or none at all
     */
    Ground ground(UUID project, Optional<Integer> run) {
        plans.find(project);
        Bound bound = bound(project, Brief.of("", "", ""), run);
        bound.fault().ifPresent(why -> {
            throw new NotFoundException(why);
        });
        return ground(bound);
    }

    /** A brief as far as it is known; what takes longer is worked out meanwhile. */
    BriefView view(UUID project, String id, Optional<Integer> run) {
        Bound bound = bound(project, brief(project, id), run);
        Brief brief = bound.brief();
        if (bound.run().isEmpty()) {
            return BriefView.of(
                    brief,
                    null,
                    null,
                    "No run is on record yet whose numbers this brief could tell.",
                    "",
                    brief.blocks().stream()
                            .map(block -> BlockView.of(block, Optional.empty(), null))
                            .toList());
        }
        Ground ground = ground(bound);
        Teller teller = new Teller(brief, ground);
        List<CompletableFuture<Told>> all = brief.blocks().stream()
                .map(block -> begin(bound, teller, block))
                .toList();
        await(all);
        List<BlockView> blocks = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            blocks.add(block(brief.blocks().get(i), all.get(i)));
        }
        return BriefView.of(
                brief,
                bound.run().get(),
                bound.others().get(0),
                bound.fault().orElse(null),
                Briefs.page(brief, ground, teller, List.of()).under(),
                blocks);
    }

    private static void await(List<CompletableFuture<Told>> all) {
        try {
            CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).get(PATIENCE_MS, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (TimeoutException | ExecutionException later) {
            // Each says by itself how far it is.
            return;
        }
    }

    private CompletableFuture<Told> begin(Bound bound, Teller teller, BriefBlock block) {
        RunView run = bound.run().orElseThrow();
        Brief brief = bound.brief();
        Asked asked = new Asked(run.id(), run.done(), bound.scenario(), brief.locale(), brief.days(), block);
        synchronized (told) {
            CompletableFuture<Told> known = told.get(asked);
            if (known == null || known.isCompletedExceptionally()) {
                known = CompletableFuture.supplyAsync(() -> teller.told(block), tellers);
                told.put(asked, known);
            }
            return known;
        }
    }

    private static BlockView block(BriefBlock block, CompletableFuture<Told> one) {
        if (!one.isDone()) {
            return BlockView.of(block, Optional.empty(), null);
        }
        try {
            return BlockView.of(block, Optional.of(one.join()), null);
        } catch (CompletionException e) {
            return BlockView.of(block, Optional.empty(), why(block, e.getCause()));
        }
    }

    private static @Nullable String why(BriefBlock block, Throwable cause) {
        if (cause instanceof BusyException) {
            // It is begun again when it is asked for next.
            return null;
        }
        LOG.error("Block {} of a brief could not be told", block.kind(), cause);
        return "This block could not be worked out; the others are as they should be.";
    }

    /** A brief with every block told. */
    Page page(UUID project, String id) {
        Bound bound = bound(project, brief(project, id), Optional.empty());
        Ground ground = ground(bound);
        Teller teller = new Teller(bound.brief(), ground);
        List<CompletableFuture<Told>> all = bound.brief().blocks().stream()
                .map(block -> begin(bound, teller, block))
                .toList();
        List<Told> blocks = new ArrayList<>();
        for (CompletableFuture<Told> one : all) {
            try {
                blocks.add(one.join());
            } catch (CompletionException e) {
                if (e.getCause() instanceof BusyException busy) {
                    throw busy;
                }
                throw new ConflictException("The block “"
                        + bound.brief().blocks().get(blocks.size()).kind().name()
                        + "” could not be worked out, so nothing was made. Take it out, or try again.");
            }
        }
        return Briefs.page(bound.brief(), ground, teller, blocks);
    }

    /** The distributions of what a brief tells of, and of each scenario beside it. */
    List<CurveRow> curves(UUID project, String id) {
        return CurveRow.of(ground(bound(project, brief(project, id), Optional.empty())));
    }

    /** The run whose numbers a brief tells. */
    RunView run(UUID project, String id) {
        return bound(project, brief(project, id), Optional.empty())
                .run()
                .orElseThrow(() -> new ConflictException("No run is on record whose numbers this brief could tell."));
    }

    /** The numbers that sentences of a block can hold. */
    List<Fields.Field> fields(UUID project, String id, String block) {
        Brief brief = brief(project, id);
        return new Teller(brief, ground(bound(project, brief, Optional.empty()))).fields(block(brief, block));
    }

    /** What the words of a block are as long as nobody types others. */
    List<String> usualWords(UUID project, String id, String block) {
        Brief brief = brief(project, id);
        return new Teller(brief, ground(bound(project, brief, Optional.empty()))).usualWords(block(brief, block));
    }

    private static BriefBlock block(Brief brief, String id) {
        return brief.blocks().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such block; it may have been taken out."));
    }

    /** A block as it is read, once it is worked out. */
    Told told(UUID project, String id, String block) {
        Bound bound = bound(project, brief(project, id), Optional.empty());
        Teller teller = new Teller(bound.brief(), ground(bound));
        try {
            return begin(bound, teller, block(bound.brief(), block)).join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof BusyException busy) {
                throw busy;
            }
            throw new ConflictException("This block could not be worked out, so there is nothing to take out.");
        }
    }
}
