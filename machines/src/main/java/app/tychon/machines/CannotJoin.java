package app.tychon.machines;

/** A machine cannot take part, for a reason that whoever starts it can mend; the message is a sentence for them. */
public class CannotJoin extends RuntimeException {
    public CannotJoin(String sentence) {
        super(sentence);
    }
}
