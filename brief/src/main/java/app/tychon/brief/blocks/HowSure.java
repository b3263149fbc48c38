package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Densities;
import app.tychon.brief.drawing.Densities.Curve;
import app.tychon.brief.drawing.Densities.Foot;
import app.tychon.brief.drawing.Densities.Kind;
import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.ground.Sight;
import app.tychon.core.model.Plan;
import app.tychon.core.statistics.KernelDensity;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;

/** How sure date and cost are, apart and together. */
final class HowSure {
    private static final int QUANTILES = 200;
    private static final int[] LEVELS = {5, 10, 20, 30, 40, 50, 60, 70, 80, 90, 95};

    private HowSure() {}

    static Content of(Scene scene) {
        Optional<Sight> cost = scene.odds().cost(scene.of());
        List<String> words = new ArrayList<>();
        words.add("In eight of ten futures " + (scene.of().equals(Plan.PROJECT) ? "the work" : "{of}")
                + " ends between {low.finish} and {high.finish}"
                + (cost.isPresent() ? ", and costs between {low.cost} and {high.cost}." : "."));
        promised(scene).ifPresent(words::add);
        return new Content(words, Optional.of(drawing(scene, cost)), Optional.of(grid(scene, cost)), List.of());
    }

    private static Optional<String> promised(Scene scene) {
        boolean date = scene.fields().has("target.finish");
        boolean money = scene.fields().has("budget");
        if (!date && !money) {
            return Optional.empty();
        }
        String first = date
                ? "The target of {target.finish} is kept by {target.often} of all futures"
                : "The budget of {budget} is kept by {budget.often} of all futures";
        String second = date && money ? ", the budget of {budget} by {budget.often}" : "";
        String both = scene.fields().has("both.often") ? ", both together by {both.often}." : ".";
        return Optional.of(first + second + both);
    }

    private static Drawing drawing(Scene scene, Optional<Sight> cost) {
        Sight finish = scene.odds().finish(scene.of());
        List<Curve> curves = new ArrayList<>();
        curves.add(curve("finish", "Finish", scene, finish, scene.odds().dates(finish), scene.telling()::shortDate));
        cost.ifPresent(sight ->
                curves.add(curve("cost", "Cost", scene, sight, scene.odds().amounts(sight), scene.telling()::money)));
        String alt = "How likely each finish is: planned " + scene.telling().date(finish.plan()) + ", half of all by "
                + scene.telling().date(finish.sure(0.5)) + ", "
                + scene.telling().percent(scene.level()) + " by "
                + scene.telling().date(finish.sure(scene.level()))
                + cost.map(sight ->
                                "; and each cost: planned " + scene.telling().money(sight.plan()) + ", half of all "
                                        + scene.telling().money(sight.sure(0.5)) + " or less, "
                                        + scene.telling().percent(scene.level()) + " "
                                        + scene.telling().money(sight.sure(scene.level())) + " or less")
                        .orElse("");
        return Densities.of(curves, alt);
    }

    private static Curve curve(
            String what, String title, Scene scene, Sight sight, KernelDensity density, DoubleFunction<String> tell) {
        List<Foot> feet = new ArrayList<>();
        feet.add(new Foot(Kind.PLAN, sight.plan(), "plan " + tell.apply(sight.plan())));
        sight.target()
                .ifPresent(at -> feet.add(
                        new Foot(Kind.TARGET, at, (what.equals("cost") ? "budget " : "target ") + tell.apply(at))));
        if (Math.round(scene.level() * 100) != 50) {
            feet.add(new Foot(Kind.PERCENTILE, sight.sure(0.5), "P50 " + tell.apply(sight.sure(0.5))));
        }
        double sure = sight.sure(scene.level());
        feet.add(new Foot(Kind.LEVEL, sure, scene.percentile() + " " + tell.apply(sure)));
        return new Curve(what, title, density.low(), density.step(), density.density(), quantiles(sight), feet);
    }

    static double[] quantiles(Sight sight) {
        return IntStream.rangeClosed(0, QUANTILES)
                .mapToDouble(i -> sight.sure((double) i / QUANTILES))
                .toArray();
    }

    private static Grid grid(Scene scene, Optional<Sight> cost) {
        Sight finish = scene.odds().finish(scene.of());
        List<List<String>> rows = new ArrayList<>();
        for (int percent : LEVELS) {
            List<String> row = new ArrayList<>(List.of(
                    scene.telling().percent(percent / 100.0), scene.telling().shortDate(finish.sure(percent / 100.0))));
            cost.ifPresent(sight -> row.add(scene.telling().exactMoney(sight.sure(percent / 100.0))));
            rows.add(row);
        }
        return cost.isPresent()
                ? Grid.of(rows, "#Chance", "#Finish by", "#Cost up to")
                : Grid.of(rows, "#Chance", "#Finish by");
    }
}
