package app.tychon.core.schedule;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A link in the direction in which the calculation follows it. That is its own, but for links out of a hammock: it drives
 * nothing, so they only say what opens or closes it and are followed backwards.
 *
 * @param link    the link as the plan has it
 * @param index   where that stands in the plan
 * @param type    which side of {@code from} bears on which side of {@code to}
 * @param forward whether the lag adds; it is taken off where the link is followed backwards
 */
record Arrow(Link link, int index, String from, String to, LinkType type, boolean forward) {

    static List<Arrow> of(Plan plan) {
        Set<String> hammocks = new HashSet<>();
        plan.activities().stream().filter(Activity::isHammock).forEach(a -> hammocks.add(a.id()));
        List<Arrow> arrows = new ArrayList<>(plan.links().size());
        for (int l = 0; l < plan.links().size(); l++) {
            Link link = plan.links().get(l);
            boolean backward = hammocks.contains(link.from()) && !hammocks.contains(link.to());
            arrows.add(
                    backward
                            ? new Arrow(link, l, link.to(), link.from(), backwards(link.type()), false)
                            : new Arrow(link, l, link.from(), link.to(), link.type(), true));
        }
        return arrows;
    }

    private static LinkType backwards(LinkType type) {
        return switch (type) {
            case FS -> LinkType.SF;
            case SF -> LinkType.FS;
            case SS, FF -> type;
        };
    }
}
