package app.tychon.brief.drawing;

import java.awt.Color;

/** What things are drawn with: the colours of the visual language, on paper. */
public enum Ink {
    INK("#1F2B33"),
    SOFT("#5B666E"),
    LINE("#D9D0BF"),
    /** Estimates, opportunities, what is chosen. */
    TEAL("#0E6E6E"),
    /** What was simulated. */
    INDIGO("#4B5AA7"),
    /** Plan, target and budget. */
    MARIGOLD("#D08700"),
    /** The same as text. */
    MARIGOLD_TEXT("#8F5B00"),
    /** Threats. */
    PLUM("#7C3A6B"),
    PAPER("#FFFEFB");

    private final String hex;

    Ink(String hex) {
        this.hex = hex;
    }

    /** As HTML writes it, such as {@code #1F2B33}. */
    public String hex() {
        return hex;
    }

    Color colour(double opacity) {
        Color solid = Color.decode(hex);
        return new Color(solid.getRed(), solid.getGreen(), solid.getBlue(), (int) Math.round(opacity * 255));
    }
}
