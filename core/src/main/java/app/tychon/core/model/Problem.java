package app.tychon.core.model;

/**
 * One thing that is wrong with a plan.
 *
 * @param pointer JSON pointer (RFC 6901) into the open project file, such as {@code /activities/3/estimate/low}
 * @param message what is wrong, in words, with the offending value
 */
public record Problem(String pointer, String message) {
    @Override
    public String toString() {
        return pointer + ": " + message;
    }
}
