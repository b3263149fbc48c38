package app.tychon.core.model;

/** What cannot be true of the logic of a plan, link by link; loops are found by the network. */
final class LinkRules {
    private LinkRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        for (int i = 0; i < plan.links().size(); i++) {
            Link link = plan.links().get(i);
            String pointer = "/links/" + i;
            names.needActivity(pointer + "/from", link.from(), found);
            names.needActivity(pointer + "/to", link.to(), found);
            if (!(Math.abs(link.lag().clockMinutes()) <= Bounds.LONGEST_MINUTES)) {
                found.add(pointer + "/lag", "a lag of " + link.lag() + " is not believable");
            }
        }
    }
}
