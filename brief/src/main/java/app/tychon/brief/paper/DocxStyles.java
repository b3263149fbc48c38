package app.tychon.brief.paper;

import java.math.BigInteger;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFStyle;
import org.apache.poi.xwpf.usermodel.XWPFStyles;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTFonts;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPPrGeneral;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTRPr;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTSpacing;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTStyle;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.STStyleType;

/** The styles of a brief as DOCX, under the names by which a word processor knows headings. */
final class DocxStyles {
    static final String TITLE = "Title";
    static final String HEADING = "Heading1";
    static final String NOTE = "Note";
    static final String CELL = "Cell";
    private static final String FACE = "Source Sans 3";
    private static final int TWIPS_A_POINT = 20;

    private DocxStyles() {}

    /** @param language of the words */
    static void into(XWPFDocument document, String language) {
        XWPFStyles styles = document.createStyles();
        CTFonts fonts = CTFonts.Factory.newInstance();
        fonts.setAscii(FACE);
        fonts.setHAnsi(FACE);
        styles.setDefaultFonts(fonts);
        styles.setSpellingLanguage(language);
        add(styles, "Normal", "Normal", 10.5, false, "1F2B33", 0, 5, 0);
        add(styles, TITLE, "Title", 21, true, "1F2B33", 0, 3, 0);
        add(styles, HEADING, "heading 1", 13.5, true, "1F2B33", 16, 4, 1);
        add(styles, NOTE, "Note", 9.5, false, "5B666E", 0, 5, 0);
        add(styles, CELL, "Cell", 9.5, false, "1F2B33", 1, 1, 0);
    }

    private static void add(
            XWPFStyles styles,
            String id,
            String name,
            double points,
            boolean strong,
            String colour,
            int before,
            int after,
            int outline) {
        CTStyle style = CTStyle.Factory.newInstance();
        style.setStyleId(id);
        style.addNewName().setVal(name);
        style.setType(STStyleType.PARAGRAPH);
        style.addNewQFormat();
        CTRPr letters = style.addNewRPr();
        letters.addNewSz().setVal(BigInteger.valueOf(Math.round(2 * points)));
        letters.addNewColor().setVal(colour);
        if (strong) {
            letters.addNewB();
        }
        CTPPrGeneral paragraph = style.addNewPPr();
        CTSpacing spacing = paragraph.addNewSpacing();
        spacing.setBefore(BigInteger.valueOf((long) before * TWIPS_A_POINT));
        spacing.setAfter(BigInteger.valueOf((long) after * TWIPS_A_POINT));
        if (outline > 0) {
            paragraph.addNewOutlineLvl().setVal(BigInteger.valueOf(outline - 1L));
            paragraph.addNewKeepNext();
        }
        styles.addStyle(new XWPFStyle(style, styles));
    }
}
