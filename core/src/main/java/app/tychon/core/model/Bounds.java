package app.tychon.core.model;

/** What a plan can hold: the same in files, over HTTP, in the database and in the interface. */
public final class Bounds {
    /** Characters of an id. */
    public static final int LONGEST_ID = 60;
    /** Characters of a name, a title, a reason. */
    public static final int LONGEST_NAME = 500;
    /** Characters of a branch's outline code, such as 1.4.2. */
    public static final int LONGEST_OUTLINE = 100;
    /** Characters of the notes of a row. */
    public static final int LONGEST_NOTES = 65_000;
    /** How deep branches may lie within each other. */
    public static final int DEEPEST_BRANCH = 60;
    /** Largest amount of money, and largest parameter of a range of it, of either sign. */
    public static final double LARGEST_AMOUNT = 1e15;
    /** Most units of a resource that an activity may use, and highest rate of one. */
    public static final double MOST_UNITS = 1e9;
    /** Years in which a plan must finish. */
    public static final int LONGEST_YEARS = 200;
    /** Working minutes of a duration or a lag: as many as {@link #LONGEST_YEARS} have. */
    public static final double LONGEST_MINUTES = LONGEST_YEARS * 365.25 * 24 * 60;

    private Bounds() {}
}
