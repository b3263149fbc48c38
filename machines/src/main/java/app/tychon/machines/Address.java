package app.tychon.machines;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.HashSet;
import java.util.Set;

/**
 * Where machines meet.
 *
 * @param port the one after it is used as well
 */
public record Address(String host, int port) {
    private static final int LAST = 65_534;

    /** @throws CannotJoin where the text is not like risk.example.org:9400 */
    public static Address of(String text) {
        int colon = text.lastIndexOf(':');
        String port = text.substring(colon + 1).strip();
        if (colon < 1 || !port.matches("\\d{1,5}") || Integer.parseInt(port) < 1 || Integer.parseInt(port) > LAST) {
            throw new CannotJoin("Say host and port, such as risk.example.org:9400, not \"" + text
                    + "\"; the port after it is used too.");
        }
        return new Address(text.substring(0, colon).strip(), Integer.parseInt(port));
    }

    /** The same as this machine itself reaches it: all its addresses are no address. */
    Address here() {
        return host.equals("0.0.0.0") || host.equals("::") ? new Address("127.0.0.1", port) : this;
    }

    /** What the host is called by, its addresses among it. */
    Set<String> all() {
        Set<String> all = new HashSet<>(Set.of(host));
        try {
            for (InetAddress one : InetAddress.getAllByName(host)) {
                all.add(one.getHostAddress());
            }
        } catch (UnknownHostException e) {
            // It has none for now.
        }
        return all;
    }

    @Override
    public String toString() {
        return host + ":" + port;
    }
}
