package app.tychon.e2e.campaign;

import java.io.IOException;
import java.util.List;

/** A namespace of the network for each worker, joined to this machine by a line that can be cut; for root, with iproute2. */
final class Network {
    private static final String PREFIX = "tychon-";

    private Network() {}

    /** Makes them; tells whether that can be done here. */
    static boolean begin(List<String> names) throws IOException {
        end(names);
        for (String name : names) {
            String host = host(names, name);
            String there = host.replaceFirst("1$", "2");
            boolean made = ip("netns", "add", PREFIX + name)
                    && ip("link", "add", line(name), "type", "veth", "peer", "name", "eth0", "netns", PREFIX + name)
                    && ip("addr", "add", host + "/24", "dev", line(name))
                    && ip("link", "set", line(name), "up")
                    && ip("-n", PREFIX + name, "addr", "add", there + "/24", "dev", "eth0")
                    && ip("-n", PREFIX + name, "link", "set", "eth0", "up")
                    && ip("-n", PREFIX + name, "link", "set", "lo", "up");
            if (!made) {
                end(names);
                return false;
            }
        }
        return true;
    }

    static void end(List<String> names) throws IOException {
        for (String name : names) {
            ip("netns", "del", PREFIX + name);
        }
    }

    static void cut(String name) throws IOException {
        ip("link", "set", line(name), "down");
    }

    static void heal(String name) throws IOException {
        ip("link", "set", line(name), "up");
    }

    /** The address of this machine on the line of a worker. */
    static String host(List<String> names, String name) {
        return "10.77." + names.indexOf(name) + ".1";
    }

    /** What a command is put behind that is to be there. */
    static List<String> within(String name) {
        return List.of("ip", "netns", "exec", PREFIX + name);
    }

    private static String line(String name) {
        return "ty-" + name;
    }

    private static boolean ip(String... words) throws IOException {
        String[] command = new String[words.length + 1];
        command[0] = "ip";
        System.arraycopy(words, 0, command, 1, words.length);
        return Root.does(command);
    }
}
