package app.tychon.machines;

/** Nobody answers where a machine is to join; that may change. */
final class NoAnswer extends CannotJoin {
    private static final long serialVersionUID = 1;

    NoAnswer(Address where) {
        super(where + " does not answer.");
    }
}
