package app.tychon.server.losses;

import app.tychon.server.odds.Odds;
import java.util.List;

/**
 * What the risks of a category cost together.
 *
 * @param odds     of the loss; its plan is no loss at all
 * @param none     share of futures, 0 to 1, that lose nothing
 * @param rows     categories, those with the largest expected loss first, each before what lies beneath it
 * @param together what the whole is expected to lose beyond the sum of the topmost categories, since some strike the same
 */
record LossesView(Odds<Double> odds, double none, List<CategoryLoss> rows, double together) {

    /**
     * One category.
     *
     * @param path     levels parted by a slash; a slash alone for risks that have none
     * @param depth    from 0
     * @param risks    that can strike
     * @param strikes  how many of them strike in a future, on average
     * @param share    of the expected loss of all, 0 to 1
     */
    record CategoryLoss(
            String path, int depth, int risks, double strikes, double expected, double p80, double p95, double share) {}
}
