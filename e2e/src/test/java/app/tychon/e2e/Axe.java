package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Rules for pages that everybody can use (WCAG 2.2 AA), looked after by axe-core in the page itself. */
final class Axe {
    private static final List<String> WCAG = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");

    private static final Path RULES = Path.of("..", "web", "node_modules", "axe-core", "axe.min.js");
    /** Of many points and rows that look alike the first few stand for all; the others are away while the rules look. */
    private static final String CHECK =
            """
            const done = arguments[arguments.length - 1];
            const away = [...document.querySelectorAll('circle:nth-of-type(n+20)')]
                .map(point => [point, point.parentNode, point.nextSibling]);
            away.forEach(([point]) => point.remove());
            // Colours that are still on their way from light to dark would be measured in between.
            Promise.allSettled(document.getAnimations().map(one => one.finished)).then(() => axe.run(
                {exclude: [['[role=row]:nth-of-type(n+8)']]},
                {
                  runOnly: arguments[0],
                  rules: {'color-contrast': {enabled: arguments[1]}},
                  resultTypes: ['violations'],
                  preload: false,
                }
            )).then(result => {
              away.reverse().forEach(([point, parent, next]) => parent.insertBefore(point, next));
              done(result.violations.flatMap(v => v.nodes.map(n => `${v.id}: ${n.target.join(' ')}`
                  + ` ${n.html.slice(0, 160)} ${n.any[0]?.message ?? ''}`)));
            });
            """;

    private Axe() {}

    /** But for colours, which are proven by themselves: of all that is written on all it is written on. */
    static void look(Browser browser, String view) {
        look(browser, view, WCAG, false);
    }

    /** With colours as they lie on each other on screen. */
    static void lookAtColoursToo(Browser browser, String view) {
        look(browser, view, WCAG, true);
    }

    /** Where nothing else has changed. */
    static void lookAtColours(Browser browser, String view) {
        look(browser, view, List.of("color-contrast"), true);
    }

    private static void look(Browser browser, String view, List<String> rules, boolean colours) {
        try {
            browser.run(Files.readString(RULES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        @SuppressWarnings("unchecked")
        List<String> faults = (List<String>) browser.await(CHECK, rules, colours);
        assertThat(faults).as(view).isEmpty();
    }
}
