package app.tychon.server.runs;

/**
 * What a run is called, why it was made, and who made it; each may be null.
 *
 * @param person key of the person
 */
record RunWords(String name, String note, String person) {
    /** As it is kept: nothing where there are only blanks. */
    static String kept(String text) {
        return text == null || text.isBlank() ? null : text.strip();
    }
}
