package app.tychon.brief.paper;

import app.tychon.brief.blocks.Grid;
import app.tychon.brief.blocks.Told;
import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.drawing.Painter;
import app.tychon.brief.words.Line;
import app.tychon.brief.words.Line.Piece;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigInteger;
import java.util.List;
import org.apache.poi.openxml4j.exceptions.InvalidFormatException;
import org.apache.poi.util.Units;
import org.apache.poi.wp.usermodel.HeaderFooterType;
import org.apache.poi.xwpf.usermodel.BreakType;
import org.apache.poi.xwpf.usermodel.Document;
import org.apache.poi.xwpf.usermodel.ParagraphAlignment;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFFooter;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.apache.poi.xwpf.usermodel.XWPFPicture;
import org.apache.poi.xwpf.usermodel.XWPFRun;
import org.apache.poi.xwpf.usermodel.XWPFTable;
import org.apache.poi.xwpf.usermodel.XWPFTableCell;
import org.apache.poi.xwpf.usermodel.XWPFTableRow;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageMar;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTPageSz;
import org.openxmlformats.schemas.wordprocessingml.x2006.main.CTSectPr;

/** A brief as DOCX, for those who must paste: headings by their styles, tables that are tables, drawings as pictures with their texts. */
public final class PageDocx {
    private static final double TWIPS_A_MILLIMETRE = 1440 / 25.4;
    private static final double POINTS_A_PIXEL = 0.75;
    private static final double DOTS = 2.5;
    private static final String SOFT = "5B666E";

    private final Page page;
    private final XWPFDocument document = new XWPFDocument();
    private int pictures;

    private PageDocx(Page page) {
        this.page = page;
    }

    /** @throws UncheckedIOException where it cannot be made; then nothing of it is there */
    public static byte[] of(Page page) {
        return new PageDocx(page).docx();
    }

    private byte[] docx() {
        try (document;
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            DocxStyles.into(document, page.language());
            sheet();
            foot();
            document.getProperties().getCoreProperties().setTitle(page.title());
            document.getProperties().getCoreProperties().setCreator("Tychon");
            paragraph(DocxStyles.TITLE).setText(page.title());
            paragraph(DocxStyles.NOTE).setText(page.under());
            for (Told block : page.blocks()) {
                block(block);
            }
            document.write(out);
            return out.toByteArray();
        } catch (IOException | InvalidFormatException e) {
            throw new UncheckedIOException(new IOException("the document could not be written: " + e.getMessage(), e));
        }
    }

    private void sheet() {
        Sizes sheet = Sizes.of(page.paper());
        CTSectPr section = document.getDocument().getBody().addNewSectPr();
        CTPageSz size = section.addNewPgSz();
        size.setW(twips(sheet.width));
        size.setH(twips(sheet.height));
        CTPageMar margins = section.addNewPgMar();
        margins.setTop(twips(Sizes.HEAD));
        margins.setBottom(twips(Sizes.FOOT));
        margins.setLeft(twips(sheet.side()));
        margins.setRight(twips(sheet.side()));
    }

    private static BigInteger twips(double millimetres) {
        return BigInteger.valueOf(Math.round(millimetres * TWIPS_A_MILLIMETRE));
    }

    private void foot() {
        XWPFFooter footer = document.createFooter(HeaderFooterType.DEFAULT);
        XWPFParagraph paragraph = footer.createParagraph();
        paragraph.setStyle(DocxStyles.NOTE);
        if (!page.confidential().isEmpty()) {
            paragraph.createRun().setText(page.confidential() + "\u2003");
        }
        paragraph.getCTP().addNewFldSimple().setInstr("PAGE");
        paragraph.createRun().setText(" / ");
        paragraph.getCTP().addNewFldSimple().setInstr("NUMPAGES");
    }

    private XWPFRun paragraph(String style) {
        XWPFParagraph paragraph = document.createParagraph();
        paragraph.setStyle(style);
        return paragraph.createRun();
    }

    private void block(Told block) throws IOException, InvalidFormatException {
        if (!block.heading().isBlank()) {
            paragraph(DocxStyles.HEADING).setText(block.heading());
        }
        block.fault().ifPresent(fault -> paragraph(DocxStyles.NOTE).setText(fault));
        block.lines().forEach(this::line);
        if (block.drawing().isPresent()) {
            picture(block.drawing().get());
        }
        block.grid().ifPresent(this::table);
        block.notes().forEach(note -> paragraph(DocxStyles.NOTE).setText(note));
    }

    private void line(Line line) {
        XWPFParagraph paragraph = document.createParagraph();
        for (Piece piece : line.pieces()) {
            XWPFRun run = paragraph.createRun();
            run.setBold(!piece.field().isEmpty());
            lines(run, piece.text());
        }
    }

    private static void lines(XWPFRun run, String text) {
        String[] lines = text.split("\n", -1);
        for (int i = 0; i < lines.length; i++) {
            if (i > 0) {
                run.addBreak(BreakType.TEXT_WRAPPING);
            }
            run.setText(lines[i]);
        }
    }

    private void picture(Drawing drawing) throws IOException, InvalidFormatException {
        byte[] png;
        try {
            png = Painter.png(drawing, DOTS);
        } catch (RuntimeException | LinkageError | InternalError e) {
            // A machine without any face cannot paint words; what the drawing says is said instead.
            paragraph(DocxStyles.NOTE).setText(drawing.alt());
            return;
        }
        XWPFPicture picture = document.createParagraph()
                .createRun()
                .addPicture(
                        new ByteArrayInputStream(png),
                        Document.PICTURE_TYPE_PNG,
                        "drawing-" + ++pictures + ".png",
                        Units.toEMU(drawing.width() * POINTS_A_PIXEL),
                        Units.toEMU(drawing.height() * POINTS_A_PIXEL));
        picture.getCTPicture().getNvPicPr().getCNvPr().setDescr(drawing.alt());
    }

    private void table(Grid grid) {
        XWPFTable table =
                document.createTable(grid.rows().size() + 1, grid.columns().size());
        table.setWidth("100%");
        table.removeBorders();
        table.setInsideHBorder(XWPFTable.XWPFBorderType.SINGLE, 4, 0, "D9D0BF");
        XWPFTableRow head = table.getRow(0);
        head.setRepeatHeader(true);
        for (int c = 0; c < grid.columns().size(); c++) {
            cell(
                    head.getCell(c),
                    grid.columns().get(c).name(),
                    grid.columns().get(c).isNumber(),
                    true);
        }
        for (int r = 0; r < grid.rows().size(); r++) {
            List<String> row = grid.rows().get(r);
            table.getRow(r + 1).setCantSplitRow(true);
            for (int c = 0; c < row.size(); c++) {
                cell(
                        table.getRow(r + 1).getCell(c),
                        row.get(c),
                        grid.columns().get(c).isNumber(),
                        false);
            }
        }
        // What follows a table stands apart from it.
        document.createParagraph().setSpacingAfter(0);
    }

    private static void cell(XWPFTableCell cell, String text, boolean isNumber, boolean isHead) {
        XWPFParagraph paragraph = cell.getParagraphs().get(0);
        paragraph.setStyle(DocxStyles.CELL);
        if (isNumber) {
            paragraph.setAlignment(ParagraphAlignment.RIGHT);
        }
        XWPFRun run = paragraph.createRun();
        run.setBold(isHead);
        if (isHead) {
            run.setColor(SOFT);
        }
        lines(run, text);
    }
}
