package app.tychon.core.simulation.tally;

import app.tychon.core.schedule.BranchSpans;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.result.BranchResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntPredicate;

/** What is kept of every branch that holds activities: tallies of start and finish, and how often it held critical work. */
public final class BranchTallies {
    /** @param row of the branch in {@link BranchSpans} */
    private record Branch(String id, int row, int[] beneath) {}

    private final List<Branch> branches;
    private final Tally[] start;
    private final Tally[] finish;
    private final int[] critical;

    private BranchTallies(List<Branch> branches) {
        this.branches = branches;
        start = new Tally[branches.size()];
        finish = new Tally[branches.size()];
        critical = new int[branches.size()];
    }

    /** Empty tallies whose ranges suit a pilot of {@code count} lanes. */
    public static BranchTallies forPilot(Network network, BranchSpans pilot, int count) {
        List<Branch> branches = new ArrayList<>();
        network.plan().wbs().forEach(node -> {
            int[] beneath = network.branches().beneath(node.id());
            if (beneath.length > 0) {
                branches.add(new Branch(node.id(), pilot.row(node.id()), beneath));
            }
        });
        BranchTallies tallies = new BranchTallies(List.copyOf(branches));
        for (int b = 0; b < branches.size(); b++) {
            int row = branches.get(b).row();
            tallies.start[b] = Tally.forPilot(pilot.start[row], count);
            tallies.finish[b] = Tally.forPilot(pilot.finish[row], count);
        }
        return tallies;
    }

    public BranchTallies sibling() {
        BranchTallies other = new BranchTallies(branches);
        for (int b = 0; b < critical.length; b++) {
            other.start[b] = start[b].sibling();
            other.finish[b] = finish[b].sibling();
        }
        return other;
    }

    /** @param wasCritical whether an activity was critical in any of the lanes; most never are */
    public void add(Lanes lanes, BranchSpans spans, int count, IntPredicate wasCritical) {
        boolean[] any = new boolean[count];
        for (int b = 0; b < critical.length; b++) {
            Branch branch = branches.get(b);
            start[b].add(spans.start[branch.row()], count);
            finish[b].add(spans.finish[branch.row()], count);
            Arrays.fill(any, false);
            for (int i : branch.beneath()) {
                if (wasCritical.test(i)) {
                    boolean[] row = lanes.critical[i];
                    for (int k = 0; k < count; k++) {
                        any[k] |= row[k];
                    }
                }
            }
            for (boolean held : any) {
                critical[b] += held ? 1 : 0;
            }
        }
    }

    public void merge(BranchTallies other) {
        for (int b = 0; b < critical.length; b++) {
            start[b].merge(other.start[b]);
            finish[b].merge(other.finish[b]);
            critical[b] += other.critical[b];
        }
    }

    void clear() {
        for (int b = 0; b < critical.length; b++) {
            start[b].clear();
            finish[b].clear();
            critical[b] = 0;
        }
    }

    void pack(Packer out) {
        for (int b = 0; b < critical.length; b++) {
            start[b].pack(out);
            finish[b].pack(out);
            out.whole(critical[b]);
        }
    }

    void merge(Unpacker in) {
        for (int b = 0; b < critical.length; b++) {
            start[b].merge(in);
            finish[b].merge(in);
            critical[b] += in.whole();
        }
    }

    /** Results in the plan's order. */
    public List<BranchResult> results(int n) {
        List<BranchResult> results = new ArrayList<>();
        for (int b = 0; b < critical.length; b++) {
            results.add(new BranchResult(
                    branches.get(b).id(), (double) critical[b] / n, start[b].percentiles(), finish[b].percentiles()));
        }
        return results;
    }
}
