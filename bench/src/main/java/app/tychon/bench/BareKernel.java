package app.tychon.bench;

import app.tychon.core.simulation.draws.Philox;
import java.util.Arrays;
import java.util.Random;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * The least that a Monte Carlo of a network can do, to compare the engine with: draw (the same generator, triangular
 * shapes), add, take the maximum of what comes before, trace what was critical. No calendars, no hypercube, no risks, no
 * money, no lags; nothing is kept of activities but how often they were critical.
 */
final class BareKernel {
    private static final int WIDTH = 500;

    private final int size;
    private final int[] firstIn;
    private final int[] from;
    private final double[] low;
    private final double[] likely;
    private final double[] high;

    /** A network of two links an activity, as {@link LargePlans} makes them. */
    BareKernel(int activities, int reach) {
        Random random = new Random(activities);
        size = activities;
        firstIn = new int[size + 1];
        from = new int[2 * size];
        low = new double[size];
        likely = new double[size];
        high = new double[size];
        int links = 0;
        for (int i = 0; i < size; i++) {
            firstIn[i] = links;
            for (int l = 0; i > 0 && l < 2; l++) {
                from[links++] = Math.max(0, i - 1 - random.nextInt(reach));
            }
            likely[i] = 480 * (2 + random.nextInt(28));
            low[i] = likely[i] * (0.7 + 0.25 * random.nextDouble());
            high[i] = likely[i] * (1.1 + 0.8 * random.nextDouble());
        }
        firstIn[size] = links;
    }

    /** One thread's rows. */
    private final class Rows {
        final double[] duration = new double[WIDTH];
        final double[] start = new double[WIDTH];
        final double[][] finish = new double[size][WIDTH];
        final double[][] begin = new double[size][WIDTH];
        final boolean[][] critical = new boolean[size][WIDTH];
        final int[] words = new int[WIDTH + 8];
        final double[] end = new double[WIDTH];
        final int[] count = new int[size];

        void batch(int first) {
            Arrays.fill(end, 0);
            for (int i = 0; i < size; i++) {
                draw(i, first);
                place(i);
            }
            trace();
        }

        private void draw(int i, int first) {
            for (int k = 0; k < WIDTH; k += 8) {
                Philox.generatePair((first + k) >>> 2, 0, i, 7, 4711, 0, words, k);
            }
            double range = high[i] - low[i];
            double rise = (likely[i] - low[i]) / range;
            double up = Math.sqrt(range * (likely[i] - low[i]));
            double down = Math.sqrt(range * (high[i] - likely[i]));
            for (int k = 0; k < WIDTH; k++) {
                double u = (words[k] ^ Integer.MIN_VALUE) * 0x1.0p-32 + 0.5;
                duration[k] = u < rise ? low[i] + up * Math.sqrt(u) : high[i] - down * Math.sqrt(1 - u);
            }
        }

        private void place(int i) {
            Arrays.fill(start, 0);
            for (int link = firstIn[i]; link < firstIn[i + 1]; link++) {
                double[] before = finish[from[link]];
                for (int k = 0; k < WIDTH; k++) {
                    start[k] = Math.max(start[k], before[k]);
                }
            }
            double[] own = finish[i];
            double[] began = begin[i];
            for (int k = 0; k < WIDTH; k++) {
                began[k] = start[k];
                own[k] = start[k] + duration[k];
                end[k] = Math.max(end[k], own[k]);
            }
        }

        private void trace() {
            for (int i = size - 1; i >= 0; i--) {
                boolean[] here = critical[i];
                int sum = 0;
                for (int k = 0; k < WIDTH; k++) {
                    here[k] |= finish[i][k] == end[k];
                    sum += here[k] ? 1 : 0;
                }
                for (int link = firstIn[i]; sum > 0 && link < firstIn[i + 1]; link++) {
                    boolean[] before = critical[from[link]];
                    double[] reached = finish[from[link]];
                    for (int k = 0; k < WIDTH; k++) {
                        before[k] |= here[k] & reached[k] == begin[i][k];
                    }
                }
                count[i] += sum;
                Arrays.fill(here, false);
            }
        }
    }

    /** @return how often each activity was critical */
    int[] run(int iterations, int threads) {
        AtomicInteger next = new AtomicInteger();
        ExecutorService pool = Executors.newFixedThreadPool(threads);
        try {
            Future<?>[] futures = new Future<?>[threads];
            Rows[] rows = new Rows[threads];
            for (int t = 0; t < threads; t++) {
                Rows own = new Rows();
                rows[t] = own;
                futures[t] = pool.submit(() -> {
                    for (int first = next.getAndAdd(WIDTH); first < iterations; first = next.getAndAdd(WIDTH)) {
                        own.batch(first);
                    }
                });
            }
            int[] critical = new int[size];
            for (int t = 0; t < threads; t++) {
                futures[t].get();
                for (int i = 0; i < size; i++) {
                    critical[i] += rows[t].count[i];
                }
            }
            return critical;
        } catch (InterruptedException | ExecutionException e) {
            throw new IllegalStateException("the kernel failed", e);
        } finally {
            pool.shutdownNow();
        }
    }
}
