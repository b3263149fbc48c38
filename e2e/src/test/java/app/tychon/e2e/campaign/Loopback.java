package app.tychon.e2e.campaign;

import java.io.IOException;

/** Addresses of this machine between which the way can be cut, while all others stay; for root, with iproute2. */
final class Loopback {
    static final String ONE = "127.0.0.2";
    static final String OTHER = "127.0.0.3";

    private static final String FIRST = "1";
    private static final String LATER = "10";

    private Loopback() {}

    /** Makes room before the way of all packets; tells whether that can be done here. */
    static boolean begin() throws IOException {
        return rule("add", "pref", LATER, "lookup", "local") && rule("del", "pref", "0");
    }

    static void end() throws IOException {
        heal();
        rule("add", "pref", "0", "lookup", "local");
        rule("del", "pref", LATER);
    }

    static void cut() throws IOException {
        rule("add", "pref", FIRST, "from", ONE, "to", OTHER, "blackhole");
        rule("add", "pref", FIRST, "from", OTHER, "to", ONE, "blackhole");
    }

    static void heal() throws IOException {
        rule("del", "from", ONE, "to", OTHER, "pref", FIRST);
        rule("del", "from", OTHER, "to", ONE, "pref", FIRST);
    }

    private static boolean rule(String... words) throws IOException {
        String[] command = new String[words.length + 2];
        command[0] = "ip";
        command[1] = "rule";
        System.arraycopy(words, 0, command, 2, words.length);
        return Root.does(command);
    }
}
