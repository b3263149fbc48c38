package app.tychon.brief.drawing;

import app.tychon.brief.drawing.Mark.Area;
import app.tychon.brief.drawing.Mark.Label;
import app.tychon.brief.drawing.Mark.Stroke;
import java.awt.BasicStroke;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Paints drawings: shapes into whatever takes them, and whole pictures. */
public final class Painter {
    private static final float[] DASHES = {5, 4};

    private Painter() {}

    /** Everything but words, which a page sets itself, so that they can be selected and read aloud. */
    public static void shapes(Drawing drawing, Graphics2D on) {
        for (Mark mark : drawing.marks()) {
            if (mark instanceof Area area) {
                on.setColor(area.ink().colour(area.opacity()));
                on.fill(area.shape());
            } else if (mark instanceof Stroke line) {
                on.setColor(line.ink().colour(1));
                on.setStroke(
                        line.dashed()
                                ? new BasicStroke(
                                        (float) line.width(),
                                        BasicStroke.CAP_BUTT,
                                        BasicStroke.JOIN_MITER,
                                        10,
                                        DASHES,
                                        0)
                                : new BasicStroke((float) line.width()));
                on.draw(line.shape());
            }
        }
    }

    /** A picture, so many dots for each unit of the drawing. */
    public static byte[] png(Drawing drawing, double dots) {
        int width = (int) Math.ceil(drawing.width() * dots);
        int height = (int) Math.ceil(drawing.height() * dots);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D on = image.createGraphics();
        on.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        on.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        on.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        on.setColor(Ink.PAPER.colour(1));
        on.fillRect(0, 0, width, height);
        on.scale(dots, dots);
        shapes(drawing, on);
        drawing.marks().stream()
                .filter(Label.class::isInstance)
                .map(Label.class::cast)
                .forEach(label -> words(label, on));
        on.dispose();
        try {
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(image, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void words(Label label, Graphics2D on) {
        Font own = label.strong() ? Faces.STRONG : Faces.PLAIN;
        Font face = (own.canDisplayUpTo(label.text()) < 0 ? own : Faces.OTHER).deriveFont((float) label.size());
        on.setFont(face);
        on.setColor(label.ink().colour(1));
        double width =
                face.getStringBounds(label.text(), on.getFontRenderContext()).getWidth();
        double x =
                switch (label.anchor()) {
                    case START -> label.x();
                    case MIDDLE -> label.x() - width / 2;
                    case END -> label.x() - width;
                };
        on.drawString(label.text(), (float) x, (float) label.y());
    }

    /** Loaded when the first picture is made: a page needs none of them. */
    private static final class Faces {
        static final Font PLAIN = load("SourceSans3-Regular.ttf");
        static final Font STRONG = load("SourceSans3-Semibold.ttf");
        /** Whatever the machine has. */
        static final Font OTHER = new Font(Font.SANS_SERIF, Font.PLAIN, 1);

        private static Font load(String file) {
            try (InputStream in = Painter.class.getResourceAsStream("/app/tychon/brief/fonts/" + file)) {
                return Font.createFont(Font.TRUETYPE_FONT, in);
            } catch (IOException | FontFormatException e) {
                throw new IllegalStateException("the face " + file + " of the application cannot be read", e);
            }
        }
    }
}
