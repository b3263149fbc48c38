package app.tychon.brief.drawing;

/** Text where markup stands. */
public final class Escaped {
    private Escaped() {}

    /** In an element or an attribute of XML or HTML. */
    public static String xml(String text) {
        StringBuilder escaped = new StringBuilder(text.length());
        text.codePoints().forEach(c -> {
            switch (c) {
                case '&' -> escaped.append("&amp;");
                case '<' -> escaped.append("&lt;");
                case '>' -> escaped.append("&gt;");
                case '"' -> escaped.append("&quot;");
                default -> escaped.appendCodePoint(c);
            }
        });
        return escaped.toString();
    }
}
