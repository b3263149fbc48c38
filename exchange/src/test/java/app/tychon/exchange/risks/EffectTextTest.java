package app.tychon.exchange.risks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Shape.Ends;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.exchange.risks.EffectText.About;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class EffectTextTest {
    private static Targets targets;
    private static Plan demo;

    @BeforeAll
    static void readTheDemo() throws IOException {
        try (InputStream in = Files.newInputStream(Path.of("..", "examples", "kestrel-ridge.tychon.json"))) {
            demo = ProjectFileReader.read(in);
            targets = new Targets(demo);
        }
    }

    private static Impact one(String text, About about) {
        return EffectText.read(text, about, targets).get(0);
    }

    private static Impact impact(Effect effect, Shape shape, Basis basis, String... on) {
        return new Impact(List.of(on), effect, Draw.SHARED, new Estimate(shape, basis));
    }

    @Test
    void pointsAreShapesAndUnitsSayWhatTheyAreAbout() {
        assertThat(one("10..25..60d on S20", About.TIME))
                .isEqualTo(impact(Effect.ADD_TIME, new Shape.Triangular(10, 25, 60, Ends.LIMITS), Basis.DAYS, "S20"));
        assertThat(one("3..8% cost on K22", About.TIME))
                .isEqualTo(impact(Effect.SCALE_COST, new Shape.Uniform(1.03, 1.08), Basis.FACTOR, "K22"));
        assertThat(one("3..8 % on K22", About.MONEY).effect()).isEqualTo(Effect.SCALE_COST);
        assertThat(one("2 to 15% on S, E", About.TIME))
                .isEqualTo(impact(Effect.SCALE_TIME, new Shape.Uniform(1.02, 1.15), Basis.FACTOR, "S", "E"));
        assertThat(one("pert 25k..45k..110k on k32", About.MONEY))
                .isEqualTo(impact(
                        Effect.ADD_COST,
                        new Shape.Pert(25_000, 45_000, 110_000, Shape.Pert.USUAL_WEIGHT, Ends.LIMITS),
                        Basis.MONEY,
                        "K32"));
        assertThat(one("25k on K32", About.TIME).effect()).isEqualTo(Effect.ADD_COST);
        assertThat(one("4h on S20", About.TIME))
                .isEqualTo(impact(Effect.ADD_TIME, new Shape.Fixed(4), Basis.HOURS, "S20"));
        assertThat(one("\u221220..\u22128d on D40", About.TIME).distribution().shape())
                .isEqualTo(new Shape.Uniform(-20, -8));
        assertThat(one("2,5..4d on S20", About.TIME).distribution().shape()).isEqualTo(new Shape.Uniform(2.5, 4));
        assertThat(one("110 000 on project", About.MONEY).distribution().shape())
                .isEqualTo(new Shape.Fixed(110_000));
        assertThat(one("0.5..4d on E70, E90 each", About.TIME).draw()).isEqualTo(Draw.EACH);
    }

    @Test
    void targetsAreCodesOrNames() {
        assertThat(one("5d on Polish to final figure", About.TIME).on()).containsExactly("M60");
        assertThat(one("5d on m60, Survey the ridge, M60", About.TIME).on()).containsExactly("M60", "S10");
        assertThat(one("10% on Summit crew", About.MONEY).on()).containsExactly("crew");
        assertThat(one("5d on Enclosure steel, fabricated", About.TIME).on()).containsExactly("E60");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "10..25..60d on S20",
                "pert 10..25..60d on S20",
                "0.5..1.5..4d on E70, E90, I10 each",
                "2..6..15% on S, E",
                "-20..-8d on D40",
                "4h on S20",
                "{\"shape\":\"gamma\",\"shapeParameter\":2,\"scale\":3.5,\"basis\":\"days\"} on S20",
                "10..25..60d on S20; 5d on S30"
            })
    void whatIsWrittenIsReadAsTheSame(String text) {
        List<Impact> read = EffectText.read(text, About.TIME, targets);
        assertThat(EffectText.of(read, About.TIME)).isEqualTo(text);
        assertThat(EffectText.read(EffectText.of(read, About.TIME), About.TIME, targets))
                .isEqualTo(read);
    }

    @Test
    void everyEffectOfTheDemoIsReadAsTheSame() {
        demo.risks().forEach(risk -> {
            for (About about : About.values()) {
                List<Impact> own = risk.impacts().stream().filter(about::holds).toList();
                assertThat(EffectText.read(EffectText.of(own, about), about, targets))
                        .isEqualTo(own);
            }
        });
    }

    @Test
    void effectsMadeByChanceAreReadAsTheSame() {
        Random random = new Random(5);
        for (int i = 0; i < 500; i++) {
            double[] points = random.doubles(3, 0.2, 3).sorted().toArray();
            Shape shape =
                    switch (i % 4) {
                        case 0 -> new Shape.Fixed(points[0]);
                        case 1 -> new Shape.Uniform(points[0], points[2]);
                        case 2 -> new Shape.Triangular(points[0], points[1], points[2], Ends.LIMITS);
                        default -> new Shape.Triangular(points[0], points[1], points[2], new Ends(0.1, 0.9));
                    };
            Impact days = impact(Effect.ADD_TIME, shape, Basis.DAYS, "S20", "S30");
            Impact slower = impact(Effect.SCALE_TIME, shape, Basis.FACTOR, "E");
            List<Impact> time = List.of(days, slower);
            assertThat(EffectText.read(EffectText.of(time, About.TIME), About.TIME, targets))
                    .isEqualTo(time);
            List<Impact> money = List.of(
                    impact(Effect.ADD_COST, shape, Basis.MONEY, "K22"),
                    impact(Effect.SCALE_COST, shape, Basis.FACTOR, "K32"));
            assertThat(EffectText.read(EffectText.of(money, About.MONEY), About.MONEY, targets))
                    .isEqualTo(money);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "10..25..60d on X99 | there is no activity, branch, cost line or resource \"X99\"",
                "10..25..60d | say what it strikes",
                "60..25..10d on S20 | the points go from low to high",
                "much on S20 | is no number",
                "1..2..3..4d on S20 | one, two or three points",
                "later | an effect reads as"
            })
    void whatIsNoEffectIsRefusedWithTheReason(String text, String reason) {
        assertThatThrownBy(() -> EffectText.read(text, About.TIME, targets)).hasMessageContaining(reason);
    }
}
