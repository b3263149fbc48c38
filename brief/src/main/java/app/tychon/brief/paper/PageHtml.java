package app.tychon.brief.paper;

import app.tychon.brief.blocks.Grid;
import app.tychon.brief.blocks.Grid.Column;
import app.tychon.brief.blocks.Told;
import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.drawing.Escaped;
import app.tychon.brief.words.Line;
import app.tychon.brief.words.Line.Piece;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/** A brief as well-formed HTML, to be read in a browser or set on paper. */
public final class PageHtml {
    /** From how many blocks on a page has a list of them. */
    private static final int CONTENTS_FROM = 6;
    /** Rows of a table up to which a block is kept on one page. */
    private static final int MOST_TOGETHER = 12;

    private final StringBuilder html = new StringBuilder();
    private final Function<Drawing, String> drawn;

    private PageHtml(Function<Drawing, String> drawn) {
        this.drawn = drawn;
    }

    /**
     * @param head  what stands in its head beside the title
     * @param drawn how a drawing is put into it
     */
    static String of(Page page, String head, Function<Drawing, String> drawn) {
        PageHtml writer = new PageHtml(drawn);
        writer.page(page, head);
        return writer.html.toString();
    }

    private void page(Page page, String head) {
        html.append("<!DOCTYPE html>\n<html lang=\"")
                .append(Escaped.xml(page.language()))
                .append("\"><head><meta charset=\"utf-8\"/><title>")
                .append(Escaped.xml(page.title()))
                .append("</title>")
                .append(head)
                .append("</head><body>");
        if (!page.confidential().isEmpty()) {
            html.append("<div class=\"confidential\">")
                    .append(text(page.confidential()))
                    .append("</div>");
        }
        html.append("<main><h1>").append(text(page.title())).append("</h1><p class=\"under\">");
        html.append(text(page.under())).append("</p>");
        if (page.blocks().size() >= CONTENTS_FROM) {
            contents(page);
        }
        for (int i = 0; i < page.blocks().size(); i++) {
            block(page.blocks().get(i), i);
        }
        html.append("</main></body></html>");
    }

    private void contents(Page page) {
        html.append("<nav class=\"contents\" aria-label=\"Contents\"><ol>");
        for (int i = 0; i < page.blocks().size(); i++) {
            String heading = page.blocks().get(i).heading();
            if (!heading.isBlank()) {
                html.append("<li><a href=\"#b")
                        .append(i)
                        .append("\">")
                        .append(text(heading))
                        .append("</a></li>");
            }
        }
        html.append("</ol></nav>");
    }

    private void block(Told block, int index) {
        String kind = block.kind().name().toLowerCase(Locale.ROOT).replace('_', '-');
        boolean together = block.grid().map(grid -> grid.rows().size()).orElse(0) <= MOST_TOGETHER;
        html.append("<section id=\"b").append(index).append("\" class=\"").append(kind);
        html.append(together ? " together\">" : "\">");
        if (!block.heading().isBlank()) {
            html.append("<h2>").append(text(block.heading())).append("</h2>");
        }
        block.fault()
                .ifPresent(fault ->
                        html.append("<p class=\"fault\">").append(text(fault)).append("</p>"));
        block.lines().forEach(this::line);
        block.drawing().ifPresent(drawing -> html.append("<div class=\"drawing\">")
                .append(drawn.apply(drawing))
                .append("</div>"));
        block.grid().ifPresent(this::grid);
        block.notes()
                .forEach(note ->
                        html.append("<p class=\"note\">").append(text(note)).append("</p>"));
        html.append("</section>");
    }

    private void line(Line line) {
        if (line.text().isBlank()) {
            return;
        }
        html.append("<p dir=\"auto\">");
        for (Piece piece : line.pieces()) {
            // Words in elements of their own as well: the setter lays bare text down before all elements of a line, and
            // whoever
            // copies a sentence out of a PDF would have its numbers at the end.
            String kind = piece.field().isEmpty() ? "words" : piece.lost() ? "lost" : "field";
            html.append("<span class=\"")
                    .append(kind)
                    .append("\">")
                    .append(text(piece.text()))
                    .append("</span>");
        }
        html.append("</p>");
    }

    private void grid(Grid grid) {
        html.append("<table><thead><tr>");
        for (Column column : grid.columns()) {
            html.append(column.isNumber() ? "<th scope=\"col\" class=\"number\">" : "<th scope=\"col\">")
                    .append(text(column.name()))
                    .append("</th>");
        }
        html.append("</tr></thead><tbody>");
        for (List<String> row : grid.rows()) {
            html.append("<tr>");
            for (int c = 0; c < row.size(); c++) {
                html.append(grid.columns().get(c).isNumber() ? "<td class=\"number\">" : "<td dir=\"auto\">")
                        .append(text(row.get(c)))
                        .append("</td>");
            }
            html.append("</tr>");
        }
        html.append("</tbody></table>");
    }

    static String text(String words) {
        return Escaped.xml(words).replace("\n", "<br/>");
    }
}
