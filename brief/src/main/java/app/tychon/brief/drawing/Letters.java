package app.tychon.brief.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** How wide words are, so that nothing is cut off or runs into something else. */
public final class Letters {
    private static final String REGULAR = "/app/tychon/brief/fonts/SourceSans3-Regular.ttf";
    private static final String STRONG = "/app/tychon/brief/fonts/SourceSans3-Semibold.ttf";
    private static final Letters PLAIN_FACE = new Letters(REGULAR);
    private static final Letters STRONG_FACE = new Letters(STRONG);
    /** Where the face has no such letter, another one is taken, in which letters may be as wide as high. */
    private static final double UNKNOWN = 1;

    private final CmapLookup glyphs;
    private final TrueTypeFont face;
    private final double em;

    private Letters(String file) {
        try (InputStream in = Letters.class.getResourceAsStream(file)) {
            face = new TTFParser().parse(new RandomAccessReadBuffer(in));
            glyphs = face.getUnicodeCmapLookup();
            em = face.getUnitsPerEm();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** How wide a text is. */
    public static double width(String text, double size, boolean strong) {
        return size * (strong ? STRONG_FACE : PLAIN_FACE).ems(text);
    }

    private synchronized double ems(String text) {
        try {
            double sum = 0;
            for (int c : text.codePoints().toArray()) {
                int glyph = glyphs.getGlyphId(c);
                sum += glyph == 0 ? UNKNOWN : face.getAdvanceWidth(glyph) / em;
            }
            return sum;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A text in lines that are no wider than that; a word that is wider by itself is broken. */
    public static List<String> wrap(String text, double width, double size, boolean strong) {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : text.strip().split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (width(longer, size, strong) <= width) {
                line = longer;
                continue;
            }
            if (!line.isEmpty()) {
                lines.add(line);
            }
            line = word;
            while (width(line, size, strong) > width && line.codePointCount(0, line.length()) > 1) {
                String head = head(line, width, size, strong);
                lines.add(head);
                line = line.substring(head.length());
            }
        }
        lines.add(line);
        return lines;
    }

    /** As many letters as have room, one at least. */
    private static String head(String word, double width, double size, boolean strong) {
        int end = word.offsetByCodePoints(0, 1);
        while (end < word.length()) {
            int next = word.offsetByCodePoints(end, 1);
            if (width(word.substring(0, next), size, strong) > width) {
                break;
            }
            end = next;
        }
        return word.substring(0, end);
    }
}
