package app.tychon.core.register;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanRules;
import app.tychon.core.model.Scheme;
import app.tychon.core.model.Score;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StarterSchemeTest {
    private static Plan scored(Scheme scheme) {
        return new PlanBuilder().task("A", 10).build().withScheme(Optional.of(scheme));
    }

    private static List<Double> ends(Scheme scheme, String kind) {
        return scheme.scale(kind).orElseThrow().levels().stream()
                .map(Scheme.Level::to)
                .toList();
    }

    @Test
    void itsLimitsFollowTheSizeOfTheProjectAndAreRound() {
        Scheme scheme = StarterScheme.of(400, 4_400_000);
        assertThat(ends(scheme, Scheme.TIME)).containsExactly(4.0, 10.0, 20.0, 40.0, 100.0);
        assertThat(ends(scheme, Scheme.MONEY)).containsExactly(20_000.0, 45_000.0, 100_000.0, 200_000.0, 700_000.0);
        assertThat(PlanRules.problems(scored(scheme))).isEmpty();
    }

    @Test
    void scalingKeepsNamesAndHowManyLevelsThereAre() {
        for (double days : List.of(0.0, 3.0, 40.0, 2_000.0)) {
            Scheme scaled = StarterScheme.scaled(StarterScheme.of(400, 4_400_000), days, days * 1000);
            assertThat(PlanRules.problems(scored(scaled))).as(days + " days").isEmpty();
            assertThat(scaled.scale("safety")).isEqualTo(StarterScheme.of(1, 1).scale("safety"));
        }
    }

    @Test
    void aValueHasTheLevelItLiesInAndTheLastHoldsWhatIsBeyond() {
        List<Scheme.Level> levels =
                StarterScheme.of(400, 1).scale(Scheme.TIME).orElseThrow().levels();
        assertThat(Scheme.level(levels, 0)).isEqualTo(1);
        assertThat(Scheme.level(levels, 4)).isEqualTo(2);
        assertThat(Scheme.level(levels, 39.9)).isEqualTo(4);
        assertThat(Scheme.level(levels, 1000)).isEqualTo(5);
    }

    @Test
    void beyondIsWhatLiesAboveTheToleratedLevelOfItsChance() {
        Scheme scheme = StarterScheme.of(400, 1);
        assertThat(scheme.isBeyond(new Score(3, Map.of("time", 3)))).isFalse();
        assertThat(scheme.isBeyond(new Score(3, Map.of("time", 2, "money", 4)))).isTrue();
        assertThat(scheme.isBeyond(new Score(0, Map.of("time", 5)))).isFalse();
    }

    @Test
    void levelsThatLeaveGapsAreRefused() {
        Scheme scheme = StarterScheme.of(400, 1);
        Scheme torn = new Scheme(
                List.of(new Scheme.Level("rare", 0, 0.1), new Scheme.Level("likely", 0.2, 1.2)),
                scheme.effects(),
                List.of(1, 9));
        assertThat(PlanRules.problems(scored(torn)))
                .extracting(p -> p.pointer())
                .containsExactlyInAnyOrder("/scheme/chance/1/from", "/scheme/chance/1/to", "/scheme/tolerated/1");
    }
}
