package app.tychon.brief.paper;

import app.tychon.brief.drawing.Drawing;
import app.tychon.core.model.Brief.Paper;

/** Sheets and their margins, in millimetres. */
enum Sizes {
    A4(210, 297),
    LETTER(215.9, 279.4);

    private static final double DOTS_AN_INCH = 96;
    private static final double AN_INCH = 25.4;
    /** At the foot stand the confidential line and the number of the page. */
    static final double FOOT = 20;

    static final double HEAD = 18;

    final double width;
    final double height;

    Sizes(double width, double height) {
        this.width = width;
        this.height = height;
    }

    static Sizes of(Paper paper) {
        return paper == Paper.LETTER ? LETTER : A4;
    }

    /** So that drawings are exactly as wide as the text. */
    double side() {
        return (width - Drawing.PAGE / DOTS_AN_INCH * AN_INCH) / 2;
    }
}
