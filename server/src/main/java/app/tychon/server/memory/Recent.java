package app.tychon.server.memory;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.ToLongFunction;

/**
 * The last few things that were asked for, as far as there is memory for them; what has not been asked for longest makes
 * room, but the newest is always kept. Not for several threads at once.
 */
public final class Recent<K, V> extends LinkedHashMap<K, V> {
    private static final long serialVersionUID = 1L;

    private final int most;
    private final long mostBytes;
    private final transient ToLongFunction<V> bytes;

    /** @param most things at a time */
    public Recent(int most) {
        this(most, Long.MAX_VALUE, value -> 0);
    }

    /**
     * @param most things at a time
     * @param mostBytes that they may take together
     * @param bytes that one takes
     */
    public Recent(int most, long mostBytes, ToLongFunction<V> bytes) {
        super(16, 0.75f, true);
        this.most = most;
        this.mostBytes = mostBytes;
        this.bytes = bytes;
    }

    /** A part of the memory that the server may use, 0 to 1, in bytes. */
    public static long shareOfMemory(double share) {
        return (long) (share * Runtime.getRuntime().maxMemory());
    }

    /** What comes in another way than by {@link #put}, as by {@code computeIfAbsent}, makes room too. */
    @Override
    protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        makeRoom();
        return false;
    }

    @Override
    public V put(K key, V value) {
        V before = super.put(key, value);
        // What took the place of something may weigh more.
        makeRoom();
        return before;
    }

    private void makeRoom() {
        long all = mostBytes == Long.MAX_VALUE
                ? 0
                : values().stream().mapToLong(bytes).sum();
        Iterator<Map.Entry<K, V>> eldestFirst = entrySet().iterator();
        while (size() > 1 && (size() > most || all > mostBytes)) {
            all -= bytes.applyAsLong(eldestFirst.next().getValue());
            eldestFirst.remove();
        }
    }
}
