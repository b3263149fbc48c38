package app.tychon.core.simulation.engine;

/** How blocks of a run are worked off on their own, to be put together afterwards: by others, or here once more. */
public interface Apart {
    /** Works off a block; what it gives can be sent to another machine. Any thread may ask. */
    byte[] work(Block block);

    /** Puts what a block gave to what is kept of the run. For one thread at a time. */
    void keep(Block block, byte[] packed);
}
