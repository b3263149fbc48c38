package app.tychon.core.model;

import java.util.HashSet;
import java.util.IllformedLocaleException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What cannot be true of a brief, whatever the plan is. That it speaks of a run, a scenario or a row that there no longer is, is
 * no fault of it: it says so where it is read.
 */
final class BriefRules {
    static final int MOST_BLOCKS = 60;
    static final int MOST_PARAGRAPHS = 100;
    static final int MOST_DECISIONS = 100;
    static final int MOST_ROWS = 500;
    static final int DEEPEST = 20;
    private static final int HIGHEST_LEVEL = 99;
    /** Characters of a paragraph: about two pages. */
    static final int LONGEST_PARAGRAPH = 8_000;

    private BriefRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        Map<String, Long> called = plan.briefs().stream()
                .collect(Collectors.groupingBy(one -> one.name().strip(), Collectors.counting()));
        for (int i = 0; i < plan.briefs().size(); i++) {
            Brief brief = plan.briefs().get(i);
            String pointer = "/briefs/" + i;
            found.addAll(pointer, TextRules.name("/name", brief.name()));
            found.addAll(pointer, TextRules.text("/title", brief.title(), Bounds.LONGEST_NAME));
            found.addAll(pointer, TextRules.text("/confidential", brief.confidential(), Bounds.LONGEST_NAME));
            if (called.get(brief.name().strip()) > 1) {
                found.add(pointer + "/name", "there is another brief called \"" + brief.name() + "\"");
            }
            if (!isLocale(brief.locale())) {
                found.add(pointer + "/locale", "\"" + brief.locale() + "\" is no language and country such as en-GB");
            }
            brief.run()
                    .filter(number -> number < 1)
                    .ifPresent(number -> found.add(pointer + "/run", "runs are counted from 1; this is " + number));
            blocks(pointer + "/blocks", brief.blocks(), found);
        }
    }

    private static boolean isLocale(String tag) {
        try {
            return !new Locale.Builder()
                    .setLanguageTag(tag)
                    .build()
                    .getLanguage()
                    .isEmpty();
        } catch (IllformedLocaleException e) {
            return false;
        }
    }

    private static void blocks(String pointer, List<BriefBlock> blocks, Found found) {
        most(pointer, "blocks", blocks.size(), MOST_BLOCKS, found);
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < blocks.size(); i++) {
            BriefBlock block = blocks.get(i);
            String at = pointer + "/" + i;
            if (block.id().isBlank() || block.id().length() > Bounds.LONGEST_ID) {
                found.add(at + "/id", "an id has 1 to " + Bounds.LONGEST_ID + " characters");
            } else if (!ids.add(block.id())) {
                found.add(at + "/id", "there is another block \"" + block.id() + "\"");
            }
            found.addAll(at, TextRules.text("/heading", block.heading(), Bounds.LONGEST_NAME));
            found.addAll(at, TextRules.text("/owner", block.owner(), Bounds.LONGEST_NAME));
            List<String> words = block.words().orElse(List.of());
            most(at + "/words", "paragraphs", words.size(), MOST_PARAGRAPHS, found);
            for (int w = 0; w < words.size(); w++) {
                found.addAll(at, TextRules.text("/words/" + w, words.get(w), LONGEST_PARAGRAPH));
            }
            block.level().ifPresent(level -> between(at + "/level", "a level", level, HIGHEST_LEVEL, found));
            block.depth().ifPresent(depth -> between(at + "/depth", "a depth", depth, DEEPEST, found));
            block.rows().ifPresent(rows -> between(at + "/rows", "a number of rows", rows, MOST_ROWS, found));
            decisions(at + "/decisions", block.decisions(), found);
        }
    }

    private static void decisions(String pointer, List<BriefBlock.Decision> decisions, Found found) {
        most(pointer, "decisions", decisions.size(), MOST_DECISIONS, found);
        for (int i = 0; i < decisions.size(); i++) {
            BriefBlock.Decision decision = decisions.get(i);
            String at = pointer + "/" + i;
            found.addAll(at, TextRules.text("/what", decision.what(), LONGEST_PARAGRAPH));
            found.addAll(at, TextRules.text("/who", decision.who(), Bounds.LONGEST_NAME));
            decision.by().ifPresent(day -> found.addAll(TextRules.date(at + "/by", day.atStartOfDay())));
            decision.cost()
                    .ifPresent(cost -> found.addAll(TextRules.number(at + "/cost", cost, Bounds.LARGEST_AMOUNT)));
        }
    }

    private static void between(String pointer, String what, int value, int most, Found found) {
        if (value < 1 || value > most) {
            found.add(pointer, what + " lies between 1 and " + most + "; this is " + value);
        }
    }

    private static void most(String pointer, String what, int count, int most, Found found) {
        if (count > most) {
            found.add(pointer, "at most " + most + " " + what + " fit here; these are " + count);
        }
    }
}
