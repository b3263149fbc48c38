package app.tychon.server.briefs;

import app.tychon.brief.Briefs;
import app.tychon.brief.blocks.Teller;
import app.tychon.brief.blocks.Told;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.paper.Page;
import app.tychon.brief.words.Fields.Field;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.Scenario;
import app.tychon.server.briefs.BriefRuns.Chosen;
import app.tychon.server.briefs.BriefView.BlockView;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.BusyException;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.runs.RunView;
import jakarta.annotation.PreDestroy;
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
    private final BriefRuns runs;
    private final ExecutorService tellers = Executors.newFixedThreadPool(TELLERS, BriefPages::named);
    private final Map<Asked, CompletableFuture<Told>> told = new Recent<>(MOST_TOLD);

    /** What a block's words and numbers depend on. */
    private record Asked(
            UUID run, int done, Optional<Scenario> scenario, String locale, Brief.Days days, BriefBlock block) {}

    BriefPages(PlanStore plans, BriefRuns runs) {
        this.plans = plans;
        this.runs = runs;
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

    private Brief brief(UUID project, String id) {
        return plans.find(project).plan().briefs().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such brief; it may have been removed."));
    }

    /** A brief as far as it is known; what takes longer is worked out meanwhile. */
    BriefView view(UUID project, String id, Optional<Integer> run) {
        return view(project, brief(project, id), run);
    }

    private BriefView view(UUID project, Brief brief, Optional<Integer> run) {
        Chosen chosen = runs.of(project, brief, run);
        return chosen.run().isEmpty() ? BriefView.withoutRun(brief) : new Reading(brief, chosen).view();
    }

    /** Which sentences another run would change. */
    BriefUpdate update(UUID project, String id, int run) {
        Brief brief = brief(project, id);
        return BriefUpdate.of(view(project, brief, Optional.empty()), view(project, brief, Optional.of(run)), run);
    }

    /** A brief of which every block is told, to be set on paper or issued. */
    Whole whole(UUID project, String id) {
        Brief brief = brief(project, id);
        return new Reading(brief, runs.of(project, brief, Optional.empty())).whole();
    }

    /**
     * A brief that is told in full.
     *
     * @param run  whose numbers it tells
     * @param view the same as the application shows it
     */
    record Whole(String name, RunView run, Page page, BriefView view) {}

    /** A block as it is read, once it is worked out. */
    Told told(UUID project, String id, String block) {
        Brief brief = brief(project, id);
        Reading reading = new Reading(brief, runs.of(project, brief, Optional.empty()));
        return reading.known(block(brief, block));
    }

    /** The numbers that sentences of a block can hold. */
    List<Field> fields(UUID project, String id, String block) {
        Brief brief = brief(project, id);
        return new Reading(brief, runs.of(project, brief, Optional.empty())).teller.fields(block(brief, block));
    }

    /** The distributions of each scenario beside what a brief tells of. */
    List<CurveRow> curves(UUID project, String id) {
        Brief brief = brief(project, id);
        return CurveRow.of(runs.ground(runs.of(project, brief, Optional.empty())));
    }

    private static BriefBlock block(Brief brief, String id) {
        return brief.blocks().stream()
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such block; it may have been taken out."));
    }

    /** A brief that is being read, with one run from its first word to its last. */
    private final class Reading {
        private final Brief brief;
        private final Chosen chosen;
        private final Ground ground;
        private final Teller teller;

        Reading(Brief brief, Chosen chosen) {
            this.brief = brief;
            this.chosen = chosen;
            ground = runs.ground(chosen);
            teller = new Teller(brief, ground);
        }

        BriefView view() {
            List<CompletableFuture<Told>> all =
                    brief.blocks().stream().map(this::begin).toList();
            await(all);
            List<BlockView> blocks = brief.blocks().stream()
                    .map(block -> shown(block, all.get(brief.blocks().indexOf(block))))
                    .toList();
            return view(page(List.of()), blocks);
        }

        Whole whole() {
            brief.blocks().forEach(this::begin);
            List<Told> all = brief.blocks().stream().map(this::known).toList();
            Page page = page(all);
            List<BlockView> blocks = brief.blocks().stream()
                    .map(block -> BlockView.of(
                            block, Optional.of(all.get(brief.blocks().indexOf(block))), null))
                    .toList();
            return new Whole(brief.name(), chosen.needed(), page, view(page, blocks));
        }

        private Page page(List<Told> blocks) {
            return Briefs.page(brief, ground, teller, blocks);
        }

        private BriefView view(Page page, List<BlockView> blocks) {
            return BriefView.of(
                    brief, chosen.needed(), chosen.all().get(0), chosen.fault().orElse(null), page.under(), blocks);
        }

        private CompletableFuture<Told> begin(BriefBlock block) {
            RunView run = chosen.needed();
            Asked asked = new Asked(run.id(), run.done(), chosen.scenario(), brief.locale(), brief.days(), block);
            synchronized (told) {
                CompletableFuture<Told> known = told.get(asked);
                if (known == null || wasTurnedAway(known)) {
                    known = CompletableFuture.supplyAsync(() -> teller.told(block), tellers);
                    told.put(asked, known);
                }
                return known;
            }
        }

        /** @throws ConflictException where it cannot be worked out */
        Told known(BriefBlock block) {
            try {
                return begin(block).join();
            } catch (CompletionException e) {
                if (e.getCause() instanceof BusyException busy) {
                    throw busy;
                }
                LOG.error("Block {} of a brief could not be told", block.kind(), e.getCause());
                throw new ConflictException("The block “" + teller.heading(block)
                        + "” could not be worked out, so nothing was made. Take it out, or set it otherwise.");
            }
        }
    }

    /** Too much was being calculated: it is begun again when it is asked for next. What failed otherwise fails again. */
    private static boolean wasTurnedAway(CompletableFuture<Told> one) {
        try {
            one.getNow(null);
            return false;
        } catch (CompletionException e) {
            return e.getCause() instanceof BusyException;
        }
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

    private static BlockView shown(BriefBlock block, CompletableFuture<Told> one) {
        boolean working = !one.isDone() || wasTurnedAway(one);
        if (working || !one.isCompletedExceptionally()) {
            return BlockView.of(block, working ? Optional.empty() : Optional.of(one.join()), null);
        }
        return BlockView.of(
                block, Optional.empty(), "This block could not be worked out; the others are as they should be.");
    }
}
