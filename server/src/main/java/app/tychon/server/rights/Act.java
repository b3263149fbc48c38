package app.tychon.server.rights;

/** What can be done in a project, each act further than the one before. */
public enum Act {
    /** Seeing of a programme what its projects let out. */
    GLANCE("see this programme"),
    READ("read this project"),
    /** Changing risks of one's own, and saying something about anything. */
    KEEP_RISKS("change risks of this project or say something about it"),
    EDIT("edit this project"),
    OWN("do this; only its owners may");

    private final String words;

    Act(String words) {
        this.words = words;
    }

    /** What somebody may not do, as it follows "You may not". */
    public String words() {
        return words;
    }
}
