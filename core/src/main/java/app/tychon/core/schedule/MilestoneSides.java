package app.tychon.core.schedule;

import app.tychon.core.model.Activity;

/**
 * On which side of a break in working time each activity without duration stands: at the instant work ends (17:00) or
 * at the one it starts (08:00). Both are the same point of the working-time axis, so a pass on that axis is exact only
 * where the side is the same in every iteration.
 */
final class MilestoneSides {
    enum Side {
        START,
        END,
        EITHER
    }

    private final Side[] sides;

    MilestoneSides(Network network) {
        sides = new Side[network.size()];
        RiskReach risks = new RiskReach(network);
        for (int i = 0; i < sides.length; i++) {
            if (network.planned(i) > 0) {
                // Work always ends where work ends, unless it may take no time at all.
                sides[i] = risks.mayVanish(i) ? Side.EITHER : Side.END;
            } else {
                sides[i] = risks.isStruck(i) ? Side.EITHER : sideOf(network, i);
            }
        }
    }

    private Side sideOf(Network network, int position) {
        Activity activity = network.activity(position);
        if (activity.constraint().isPresent() || activity.estimate().isPresent()) {
            return Side.EITHER;
        }
        if (!network.hasPredecessors(position)) {
            return Side.START;
        }
        Side all = null;
        for (int link = network.firstIn(position); link < network.firstIn(position + 1); link++) {
            Side one = reachedFrom(network, link);
            all = all == null || all == one ? one : Side.EITHER;
        }
        return all;
    }

    private Side reachedFrom(Network network, int link) {
        if (network.lag(link) < 0) {
            return Side.EITHER;
        }
        if (network.lag(link) > 0) {
            return Side.END;
        }
        int from = network.from(link);
        boolean fromWork = network.planned(from) > 0;
        if (fromWork && !network.type(link).fromFinish()) {
            return Side.START;
        }
        return sides[from];
    }

    Side of(int position) {
        return sides[position];
    }
}
