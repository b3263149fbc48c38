package app.tychon.core.simulation;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.core.simulation.tally.OutputSamples;

/**
 * About how much memory a run takes while it works, so that it can be told beforehand whether there is room for it.
 *
 * @param watched numbers that watched activities keep: four an iteration each
 * @param bytes of everything
 */
public record RunNeeds(long watched, long bytes) {
    /** Numbers that all watched activities of a run may keep. */
    public static final long MOST_WATCHED = 100_000_000;

    private static final int EACH = 4;
    /** Start, finish, duration, three parts of cost; path; kept once more while the result is made. */
    private static final long AN_ITERATION = 2 * (6 * 8 + 8) + 120;
    /** Counts of duration, start and finish, as they are added up and as they are kept. */
    private static final long TALLIES = 3 * 400 * (2 + 4);
    /** A row of a plan, compiled: its text, its place in the network, its distribution with a table of inverses. */
    private static final long ROW = 3000;
    /** Of a row in what a block gives, while it is put together and sent. */
    private static final long PACKED = 3 * 1500;
    /** Of a lane: duration, start, finish, the same in working time and whether it is critical. */
    private static final long LANE = 4 * 8 + 1;

    /** Of a variation with a register of its own: an activity, a risk, something that costs. */
    private static final long REFERENCE = 8;

    private static final long RISK = 470;
    private static final long ITEM = 100;

    /** Of a plan simulated with these settings, by this machine alone. */
    public static RunNeeds of(Plan plan, RunSettings settings) {
        long n = settings.iterations();
        long watched =
                EACH * n * plan.activities().stream().filter(Activity::watch).count();
        long others = plan.wbs().size()
                + plan.activities().stream().filter(Activity::isMilestone).count();
        long kept = watched + Math.min(OutputSamples.MOST_VALUES, EACH * n * others);
        long aThread = TALLIES + lanes(plan);
        long bytes = AN_ITERATION * n
                + 3 * Double.BYTES * kept
                + rows(plan) * (RunResult.AN_ACTIVITY + TALLIES + settings.threads() * aThread);
        boolean isAhead = settings.threads() * Block.BATCH > Steadiness.STEP;
        return new RunNeeds(watched, bytes + (isAhead ? early(plan, settings) : 0));
    }

    /**
     * Bytes that are taken by what a run that may be enough after any round works off before its turn, and by what that is worked
     * off with: where more threads are there than a round has batches, and where others help.
     */
    public static long early(Plan plan, RunSettings settings) {
        if (settings.until().isEmpty()) {
            return 0;
        }
        long all = rows(plan) * PACKED * (settings.iterations() / Steadiness.STEP);
        return Math.min(Blocks.MOST_EARLY, all) + settings.threads() * ofBlocks(plan, Task.Wanted.ALL);
    }

    private static long rows(Plan plan) {
        return plan.activities().size() + plan.wbs().size();
    }

    /** Of a row, of one thread. */
    private static long lanes(Plan plan) {
        return LANE * BatchWorker.width(plan.activities().size());
    }

    /** About how much memory a thread takes that works at blocks of a task, one of {@link RunBlocks}. */
    public static long ofBlocks(Plan plan, Task.Wanted wanted) {
        long row =
                switch (wanted) {
                    case ALL -> TALLIES + lanes(plan) + PACKED;
                    case OUTCOMES -> lanes(plan);
                    // What is compared with is kept beside what is compared.
                    case DIFFERENCES -> 2 * lanes(plan);
                };
        return rows(plan) * row;
    }

    /** About how much memory a variation takes in which a risk is treated otherwise: a register of its own, and what it strikes. */
    public static long ofVariation(Plan plan) {
        return REFERENCE * plan.activities().size()
                + RISK * plan.risks().size()
                + ITEM * (plan.costs().size() + plan.assignments().size());
    }

    /** About how much memory a plan takes once it is compiled. */
    public static long ofPlan(Plan plan) {
        return ROW
                * (plan.activities().size()
                        + plan.links().size()
                        + plan.costs().size()
                        + plan.assignments().size());
    }
}
