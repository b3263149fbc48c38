package app.tychon.brief.paper;

import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.drawing.Escaped;
import app.tychon.brief.drawing.Letters;
import app.tychon.brief.drawing.Mark.Anchor;
import app.tychon.brief.drawing.Mark.Label;
import app.tychon.brief.drawing.Painter;
import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.extend.FSObjectDrawer;
import com.openhtmltopdf.extend.OutputDevice;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.render.DefaultObjectDrawerFactory;
import com.openhtmltopdf.render.RenderingContext;
import com.openhtmltopdf.util.XRLog;
import java.awt.Shape;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.w3c.dom.Element;

/**
 * A brief as PDF: tagged, with headings as bookmarks, numbered pages and alternative texts. Drawings are vectors; their words are
 * set as text of the page, so that they can be selected.
 */
public final class PagePdf {
    private static final String DRAWN = "drawing/marks";
    /** Of the height of letters, from the top of a line that is 1.2 of it high to the baseline. */
    private static final double BASELINE = 0.912;

    private final Page page;
    private final List<Drawing> drawings = new ArrayList<>();

    private PagePdf(Page page) {
        this.page = page;
    }

    /** @throws UncheckedIOException where it cannot be made; then nothing of it is there */
    public static byte[] of(Page page) {
        XRLog.setLoggingEnabled(false);
        return new PagePdf(page).pdf();
    }

    private byte[] pdf() {
        String html = PageHtml.of(page, head(), this::drawing);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.withHtmlContent(html, null);
        builder.usePdfUaAccessibility(true);
        builder.withProducer("Tychon");
        builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
        builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
        builder.defaultTextDirection(PdfRendererBuilder.TextDirection.LTR);
        Faces.all().forEach(face -> builder.useFont(face.file(), face.family(), face.weight(), FontStyle.NORMAL, true));
        DefaultObjectDrawerFactory drawers = new DefaultObjectDrawerFactory();
        drawers.registerDrawer(DRAWN, new Drawer());
        builder.useObjectDrawerFactory(drawers);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private String head() {
        Sizes sheet = Sizes.of(page.paper());
        String css = resource("paper.css")
                .replace("$WIDTH", millimetres(sheet.width))
                .replace("$HEIGHT", millimetres(sheet.height))
                .replace("$SIDE", millimetres(sheet.side()))
                .replace("$HEAD", millimetres(Sizes.HEAD))
                .replace("$FOOT", millimetres(Sizes.FOOT))
                .replace("$FACES", Faces.families());
        return "<meta name=\"subject\" content=\"" + Escaped.xml(page.under()) + "\"/>" + bookmarks() + "<style>" + css
                + "</style>";
    }

    private static String millimetres(double length) {
        return String.format(Locale.ROOT, "%.2fmm", length);
    }

    private String bookmarks() {
        StringBuilder marks = new StringBuilder("<bookmarks>");
        for (int i = 0; i < page.blocks().size(); i++) {
            String heading = page.blocks().get(i).heading();
            if (!heading.isBlank()) {
                marks.append("<bookmark name=\"")
                        .append(Escaped.xml(heading))
                        .append("\" href=\"#b")
                        .append(i)
                        .append("\"/>");
            }
        }
        return marks.append("</bookmarks>").toString();
    }

    static String resource(String name) {
        try (InputStream in = PagePdf.class.getResourceAsStream("/app/tychon/brief/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The shapes as an object that is drawn, its words over it. */
    private String drawing(Drawing drawing) {
        drawings.add(drawing);
        String size = "width:" + pixels(drawing.width()) + ";height:" + pixels(drawing.height());
        String words = drawing.marks().stream()
                .filter(Label.class::isInstance)
                .map(mark -> label((Label) mark))
                .collect(Collectors.joining());
        return "<div class=\"marks\" style=\"" + size + "\"><object type=\"" + DRAWN + "\" data-index=\""
                + (drawings.size() - 1) + "\" style=\"display:block;" + size + "\" alt=\"" + Escaped.xml(drawing.alt())
                + "\" title=\"" + Escaped.xml(drawing.alt()) + "\"></object>" + words + "</div>";
    }

    private static String label(Label label) {
        double width = Letters.width(label.text(), label.size(), label.strong()) + 4;
        double left =
                switch (label.anchor()) {
                    case START -> label.x();
                    case MIDDLE -> label.x() - width / 2;
                    case END -> label.x() - width;
                };
        String align = label.anchor() == Anchor.START ? "left" : label.anchor() == Anchor.END ? "right" : "center";
        return "<span style=\"left:" + pixels(left) + ";top:" + pixels(label.y() - BASELINE * label.size()) + ";width:"
                + pixels(width) + ";text-align:" + align + ";font-size:" + pixels(label.size()) + ";line-height:"
                + pixels(1.2 * label.size()) + ";color:" + label.ink().hex()
                + (label.strong() ? ";font-weight:600" : "") + "\">" + Escaped.xml(label.text()) + "</span>";
    }

    private static String pixels(double length) {
        return String.format(Locale.ROOT, "%.2fpx", length);
    }

    /** Draws the shapes of a drawing where its object stands. */
    private final class Drawer implements FSObjectDrawer {
        @Override
        public Map<Shape, String> drawObject(
                Element element,
                double x,
                double y,
                double width,
                double height,
                OutputDevice device,
                RenderingContext context,
                int dotsPerPixel) {
            Drawing drawing = drawings.get(Integer.parseInt(element.getAttribute("data-index")));
            device.drawWithGraphics(
                    (float) x, (float) y, (float) width / dotsPerPixel, (float) height / dotsPerPixel, on -> {
                        double scale = width / dotsPerPixel / drawing.width();
                        on.scale(scale, scale);
                        Painter.shapes(drawing, on);
                    });
            return null;
        }
    }
}
