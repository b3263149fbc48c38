package app.tychon.server.door;

import app.tychon.server.database.Keys;
import java.security.MessageDigest;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * How the one person of a machine comes in: by an address that is good once, or, for programs, by the key that lies in the data
 * folder, where only they can read it. Other users of the machine have neither.
 */
@Component
public class MachineKey {
    private static final int MOST_ADDRESSES = 200;

    private final byte[] digest;
    private final Set<String> addresses = ConcurrentHashMap.newKeySet();

    MachineKey(@Value("${tychon.machine-key}") String key) {
        digest = Keys.digest(key);
    }

    boolean is(String key) {
        return MessageDigest.isEqual(digest, Keys.digest(key));
    }

    /** An address, without the server's, that lets a browser in once. */
    public String freshAddress() {
        if (addresses.size() >= MOST_ADDRESSES) {
            addresses.clear();
        }
        String key = Keys.fresh();
        addresses.add(key);
        return EnterController.PATH + "/" + key;
    }

    /** Uses an address up. */
    boolean spend(String key) {
        return addresses.remove(key);
    }
}
