package app.tychon.brief.ground;

import app.tychon.core.simulation.settings.RunSettings;

/** Of how many futures of a run a longer question is asked, so that large plans do not keep their readers waiting. */
final class Futures {
    private static final int FEWEST = 1000;

    private Futures() {}

    /** @param work activities times futures, about */
    static RunSettings of(Ground ground, long work) {
        int activities = Math.max(1, ground.plan().activities().size());
        long some = Math.max(FEWEST, work / activities / FEWEST * FEWEST);
        return few(ground, (int) Math.min(ground.result().iterations(), some));
    }

    /** The first so many futures of a run, or all it has. */
    static RunSettings few(Ground ground, int most) {
        RunSettings own = ground.result().settings();
        int n = Math.min(ground.result().iterations(), most);
        return new RunSettings(n, own.seed(), own.sampling(), own.threads());
    }
}
