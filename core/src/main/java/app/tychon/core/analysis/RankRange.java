package app.tychon.core.analysis;

import java.util.stream.IntStream;

/**
 * Between which ranks something may stand, since chance alone could swap those that differ by less than both errors
 * together: one more than those that are surely larger, and all but those that are surely smaller. O(n²).
 *
 * @param best  from 1
 * @param worst at least {@code best}
 */
public record RankRange(int best, int worst) {

    /**
     * @param sizes  what is ranked, the largest first, whatever its sign
     * @param errors half-widths of their 95 % intervals
     */
    public static RankRange[] of(double[] sizes, double[] errors) {
        return IntStream.range(0, sizes.length)
                .mapToObj(i -> {
                    int larger = 0;
                    int smaller = 0;
                    for (int j = 0; j < sizes.length; j++) {
                        double gap = Math.abs(sizes[j]) - Math.abs(sizes[i]);
                        boolean isSure = gap * gap > errors[i] * errors[i] + errors[j] * errors[j];
                        larger += isSure && gap > 0 ? 1 : 0;
                        smaller += isSure && gap < 0 ? 1 : 0;
                    }
                    return new RankRange(larger + 1, sizes.length - smaller);
                })
                .toArray(RankRange[]::new);
    }
}
