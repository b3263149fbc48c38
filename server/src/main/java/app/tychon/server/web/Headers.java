package app.tychon.server.web;

/** Headers of our own. */
public final class Headers {
    /** Who asks: a key that their browser keeps. A page from elsewhere cannot send it. */
    public static final String PERSON = "Tychon-Person";

    private Headers() {}
}
