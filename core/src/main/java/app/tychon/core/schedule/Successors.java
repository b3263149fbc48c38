package app.tychon.core.schedule;

/** The links of a network by where they come from: those out of position i lead to {@code to(firstOut(i))} and on. */
public final class Successors {
    private final int[] firstOut;
    private final int[] to;

    public Successors(Network network) {
        firstOut = new int[network.size() + 1];
        to = new int[network.links()];
        for (int link = 0; link < network.links(); link++) {
            firstOut[network.from(link) + 1]++;
        }
        for (int i = 0; i < network.size(); i++) {
            firstOut[i + 1] += firstOut[i];
        }
        int[] next = firstOut.clone();
        for (int i = 0; i < network.size(); i++) {
            for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
                to[next[network.from(link)]++] = i;
            }
        }
    }

    /** Those of position {@code i} end before {@code firstOut(i + 1)}. */
    public int firstOut(int i) {
        return firstOut[i];
    }

    public int to(int out) {
        return to[out];
    }
}
