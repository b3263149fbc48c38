package app.tychon.core.register;

import app.tychon.core.model.Scheme;
import app.tychon.core.model.Scheme.Level;
import app.tychon.core.model.Scheme.Scale;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;

/** A scoring scheme to begin with, and limits that suit the size of a project. */
public final class StarterScheme {
    /** Ends of the levels of delay, as shares of the project's duration; the last holds what is beyond. */
    private static final double[] SHARES_OF_TIME = {0.01, 0.025, 0.05, 0.1, 0.25};
    /** Ends of the levels of loss, as shares of the budget. */
    private static final double[] SHARES_OF_MONEY = {0.005, 0.01, 0.025, 0.05, 0.15};

    private static final List<String> SIZES = List.of("slight", "small", "marked", "great", "grave");

    private StarterScheme() {}

    /**
     * Five levels of chance, of delay, of loss, and of harm to people, which is scored alone.
     *
     * @param days   working days that the project is planned to take
     * @param budget money that it is planned to cost
     */
    public static Scheme of(double days, double budget) {
        return new Scheme(
                List.of(
                        new Level("rare", 0, 0.05),
                        new Level("unlikely", 0.05, 0.15),
                        new Level("possible", 0.15, 0.35),
                        new Level("likely", 0.35, 0.65),
                        new Level("almost sure", 0.65, 1)),
                List.of(
                        new Scale(Scheme.TIME, "Delay", "days", levels(SIZES, SHARES_OF_TIME, days, 1)),
                        new Scale(Scheme.MONEY, "Loss", "money", levels(SIZES, SHARES_OF_MONEY, budget, 100)),
                        new Scale(
                                "safety",
                                "Safety",
                                "",
                                List.of(
                                        new Level("no harm", 0, 0),
                                        new Level("first aid", 0, 0),
                                        new Level("days lost", 0, 0),
                                        new Level("lasting harm", 0, 0),
                                        new Level("loss of life", 0, 0)))),
                List.of(4, 4, 3, 2, 1));
    }

    /** The same scheme with limits of time and money that suit a project; names, and how many levels there are, stay. */
    public static Scheme scaled(Scheme scheme, double days, double budget) {
        return new Scheme(
                scheme.chance(),
                scheme.effects().stream()
                        .map(scale -> switch (scale.kind()) {
                            case Scheme.TIME -> scaled(scale, SHARES_OF_TIME, days, 1);
                            case Scheme.MONEY -> scaled(scale, SHARES_OF_MONEY, budget, 100);
                            default -> scale;
                        })
                        .toList(),
                scheme.tolerated());
    }

    private static Scale scaled(Scale scale, double[] shares, double whole, double least) {
        List<String> names = scale.levels().stream().map(Level::name).toList();
        return new Scale(scale.kind(), scale.name(), scale.unit(), levels(names, shares, whole, least));
    }

    private static List<Level> levels(List<String> names, double[] shares, double whole, double least) {
        List<Level> levels = new ArrayList<>();
        double from = 0;
        for (int i = 0; i < names.size(); i++) {
            double to = Math.max(round(whole * share(shares, i, names.size())), from + least);
            levels.add(new Level(names.get(i), from, to));
            from = to;
        }
        return levels;
    }

    /** The end of a level among more or fewer than there are shares: between their logarithms. */
    private static double share(double[] shares, int level, int count) {
        double at = (level + 1.0) / count * shares.length - 1;
        if (at <= 0) {
            return shares[0] * (at + 1);
        }
        int below = (int) Math.min(Math.floor(at), shares.length - 2.0);
        double part = at - below;
        return Math.exp(Math.log(shares[below]) * (1 - part) + Math.log(shares[below + 1]) * part);
    }

    /** To one figure, or to a half of one: 1, 1.5, 2, 2.5, 3, 4, … */
    private static double round(double value) {
        if (!(value > 0)) {
            return 0;
        }
        BigDecimal half = BigDecimal.valueOf(value).multiply(BigDecimal.valueOf(2));
        BigDecimal one = BigDecimal.valueOf(value).round(new MathContext(1, RoundingMode.HALF_UP));
        BigDecimal other = half.round(new MathContext(1, RoundingMode.HALF_UP)).divide(BigDecimal.valueOf(2));
        boolean nearer = one.subtract(BigDecimal.valueOf(value))
                        .abs()
                        .compareTo(other.subtract(BigDecimal.valueOf(value)).abs())
                <= 0;
        return (nearer ? one : other).doubleValue();
    }
}
