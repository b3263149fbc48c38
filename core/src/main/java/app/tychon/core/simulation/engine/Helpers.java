package app.tychon.core.simulation.engine;

/** Others who work off blocks of a task beside the threads here, wherever they are. */
@FunctionalInterface
public interface Helpers {
    /** What is not helped with. */
    Help NO_HELP = () -> {};

    /** Nobody. */
    Helpers NONE = (task, blocks) -> NO_HELP;

    /** Helping, until it is closed. */
    @FunctionalInterface
    interface Help extends AutoCloseable {
        @Override
        void close();
    }

    /**
     * A task begins: its blocks may be taken as soon as there are any, until the help is closed. Returns at once.
     *
     * @return {@link #NO_HELP} where nobody comes
     */
    Help begin(Task task, Blocks blocks);
}
