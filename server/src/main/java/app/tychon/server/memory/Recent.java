package app.tychon.server.memory;

import java.util.LinkedHashMap;
import java.util.Map;

/** The last few things that were asked for; what has not been asked for longest makes room. Not for several threads at once. */
public final class Recent<K, V> extends LinkedHashMap<K, V> {
    private static final long serialVersionUID = 1L;

    private final int most;

    /** @param most things at a time */
    public Recent(int most) {
        super(16, 0.75f, true);
        this.most = most;
    }

    @Override
    protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > most;
    }
}
