package app.tychon.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.BriefBlock.Decision;
import app.tychon.core.model.BriefBlock.Kind;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class BriefRulesTest {
    private static final Brief SOUND = Brief.of("B1", "For the board", "The date")
            .withBlocks(List.of(BriefBlock.of("b1", Kind.ANSWER), BriefBlock.of("b2", Kind.DECIDE)));

    private static List<String> problems(Brief... briefs) {
        return PlanRules.problems(new PlanBuilder().task("A", 5).build().withBriefs(List.of(briefs))).stream()
                .map(Problem::toString)
                .toList();
    }

    private static List<String> problems(BriefBlock block) {
        return problems(SOUND.withBlocks(List.of(block)));
    }

    @Test
    void whatABriefSpeaksOfMayBeGone() {
        BriefBlock block = BriefBlock.of("b1", Kind.HOW_SURE)
                .withOf(Optional.of("nothing"))
                .withSince(Optional.of(77))
                .withScenarios(List.of("gone"));
        assertThat(problems(SOUND.withRun(Optional.of(99))
                        .withScenario(Optional.of("gone"))
                        .withBlocks(List.of(block))))
                .isEmpty();
    }

    @Test
    void namesAreGivenOnceAndNotEmpty() {
        assertThat(problems(SOUND, SOUND.withId("B2"))).hasSize(2).allMatch(one -> one.contains("/name"));
        assertThat(problems(SOUND.withName(" "))).singleElement().asString().contains("/briefs/0/name");
    }

    @Test
    void languageAndRunAreWhatTheyCanBe() {
        assertThat(problems(SOUND.withLocale("??"))).singleElement().asString().contains("/briefs/0/locale", "en-GB");
        assertThat(problems(SOUND.withLocale("de"))).isEmpty();
        assertThat(problems(SOUND.withRun(Optional.of(0))))
                .singleElement()
                .asString()
                .contains("counted from 1");
    }

    @Test
    void blocksAreToldApart() {
        BriefBlock one = BriefBlock.of("b1", Kind.TEXT);
        assertThat(problems(SOUND.withBlocks(List.of(one, one))))
                .singleElement()
                .asString()
                .contains("/briefs/0/blocks/1/id");
        assertThat(problems(one.withId(""))).singleElement().asString().contains("an id has 1 to");
        List<BriefBlock> many = IntStream.rangeClosed(0, BriefRules.MOST_BLOCKS)
                .mapToObj(i -> BriefBlock.of("b" + i, Kind.TEXT))
                .toList();
        assertThat(problems(SOUND.withBlocks(many))).singleElement().asString().contains("at most 60 blocks");
    }

    @Test
    void settingsLieWithinTheirBounds() {
        BriefBlock block = BriefBlock.of("b1", Kind.TURNS_OUT);
        assertThat(problems(block.withLevel(Optional.of(100))))
                .singleElement()
                .asString()
                .contains("this is 100");
        assertThat(problems(block.withDepth(Optional.of(0))))
                .singleElement()
                .asString()
                .contains("/depth");
        assertThat(problems(block.withRows(Optional.of(501))))
                .singleElement()
                .asString()
                .contains("between 1 and 500");
    }

    @Test
    void wordsAndDecisionsCanBeKept() {
        BriefBlock block = BriefBlock.of("b1", Kind.DECIDE);
        assertThat(problems(block.withWords(Optional.of(List.of("x".repeat(BriefRules.LONGEST_PARAGRAPH + 1))))))
                .singleElement()
                .asString()
                .contains("/words/0");
        assertThat(problems(block.withWords(Optional.of(Collections.nCopies(101, "word")))))
                .singleElement()
                .asString()
                .contains("at most 100 paragraphs");
        Decision odd = new Decision("Wait\u0000", "", Optional.of(LocalDate.of(1200, 1, 1)), Optional.of(1e18));
        assertThat(problems(block.withDecisions(List.of(odd))))
                .hasSize(3)
                .anyMatch(one -> one.contains("/decisions/0/what"))
                .anyMatch(one -> one.contains("/decisions/0/by"))
                .anyMatch(one -> one.contains("/decisions/0/cost"));
    }
}
