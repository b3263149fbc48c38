package app.tychon.brief.paper;

import app.tychon.brief.drawing.Svg;
import app.tychon.core.model.Brief.Paper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;

/** A brief as a web page of its own, without anything that runs in the browser. */
public final class PageWeb {
    private static final int STRONG = 600;

    private PageWeb() {}

    public static String of(Page page) {
        return PageHtml.of(page, head(), Svg::of);
    }

    /** What is read where there is nothing to read any more. */
    public static String withdrawn() {
        return of(new Page(
                "This brief can no longer be read here",
                "The link was withdrawn, or is not complete. Ask whoever gave it to you for another.",
                "en",
                Paper.A4,
                "",
                List.of()));
    }

    private static String head() {
        return "<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\"/>"
                + "<meta name=\"robots\" content=\"noindex\"/><style>" + PagePdf.resource("web.css") + "</style>";
    }

    /** A face of the application, by its weight: 600, or the plain one. */
    public static byte[] face(int weight) {
        String file = weight == STRONG ? "SourceSans3-Semibold.ttf" : "SourceSans3-Regular.ttf";
        try (InputStream in = PageWeb.class.getResourceAsStream("/app/tychon/brief/fonts/" + file)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
