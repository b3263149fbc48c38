package app.tychon.core.simulation.engine;

/** Others who work off blocks of a run beside the threads here, wherever they are. */
@FunctionalInterface
public interface Helpers {
    /** Nobody. */
    Helpers NONE = blocks -> () -> {};

    /** Helping, until it is closed. */
    @FunctionalInterface
    interface Help extends AutoCloseable {
        @Override
        void close();
    }

    /** A run begins: its blocks may be taken as soon as there are any, until the help is closed. Returns at once. */
    Help begin(Blocks blocks);
}
