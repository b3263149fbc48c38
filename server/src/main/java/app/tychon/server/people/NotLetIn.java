package app.tychon.server.people;

/** Somebody could not come in; says why, and not more than a stranger may know. */
class NotLetIn extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NotLetIn(String sentence) {
        super(sentence);
    }
}
