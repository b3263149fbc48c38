package app.tychon.brief.drawing;

import app.tychon.brief.drawing.Mark.Anchor;
import app.tychon.brief.drawing.Mark.Area;
import app.tychon.brief.drawing.Mark.Label;
import app.tychon.brief.drawing.Mark.Stroke;

/** A drawing as SVG. */
public final class Svg {
    private static final String FACES = "'Source Sans 3', 'DejaVu Sans', sans-serif";

    private Svg() {}

    /** A file of its own. */
    public static String file(Drawing drawing) {
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + of(drawing);
    }

    /** What stands in a page. */
    public static String of(Drawing drawing) {
        StringBuilder text = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 "
                + SvgPath.number(drawing.width()) + " " + SvgPath.number(drawing.height()) + "\" width=\""
                + SvgPath.number(drawing.width()) + "\" height=\"" + SvgPath.number(drawing.height())
                + "\" role=\"img\" aria-label=\"" + Escaped.xml(drawing.alt()) + "\" font-family=\"" + FACES
                + "\"><title>" + Escaped.xml(drawing.alt()) + "</title>");
        drawing.marks().forEach(mark -> text.append(of(mark)));
        return text.append("</svg>").toString();
    }

    private static String of(Mark mark) {
        if (mark instanceof Area area) {
            return "<path d=\"" + SvgPath.of(area.shape()) + "\" fill=\""
                    + area.ink().hex() + "\""
                    + (area.opacity() < 1 ? " fill-opacity=\"" + SvgPath.number(area.opacity()) + "\"" : "") + "/>";
        }
        if (mark instanceof Stroke line) {
            return "<path d=\"" + SvgPath.of(line.shape()) + "\" fill=\"none\" stroke=\""
                    + line.ink().hex()
                    + "\" stroke-width=\"" + SvgPath.number(line.width()) + "\""
                    + (line.dashed() ? " stroke-dasharray=\"5 4\"" : "") + "/>";
        }
        Label label = (Label) mark;
        return "<text x=\"" + SvgPath.number(label.x()) + "\" y=\"" + SvgPath.number(label.y()) + "\" font-size=\""
                + SvgPath.number(label.size()) + "\" fill=\"" + label.ink().hex() + "\""
                + (label.strong() ? " font-weight=\"600\"" : "")
                + (label.anchor() == Anchor.START ? "" : " text-anchor=\"" + anchor(label.anchor()) + "\"") + ">"
                + Escaped.xml(label.text()) + "</text>";
    }

    private static String anchor(Anchor anchor) {
        return anchor == Anchor.END ? "end" : "middle";
    }
}
