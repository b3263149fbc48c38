package app.tychon.server.odds;

import java.util.function.Supplier;

/** An answer that is worked out when it is first asked for; those who ask meanwhile wait for it. */
public final class Answer<T> {
    private T known;

    public synchronized T get(Supplier<T> making) {
        if (known == null) {
            known = making.get();
        }
        return known;
    }
}
