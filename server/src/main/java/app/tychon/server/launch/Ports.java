package app.tychon.server.launch;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.util.OptionalInt;

/** Finds ports on 127.0.0.1 to listen on. */
final class Ports {
    private static final int USUAL = 8080;
    private static final int TRIES = 50;

    private Ports() {}

    /** The port asked for, or 8080, or the next free one after it. */
    static int forHttp(OptionalInt asked) {
        if (asked.isPresent()) {
            if (!isFree(asked.getAsInt())) {
                throw new CannotStart("Port " + asked.getAsInt()
                        + " is in use by another program; set TYCHON_PORT to a free one, or leave it unset.");
            }
            return asked.getAsInt();
        }
        for (int port = USUAL; port < USUAL + TRIES; port++) {
            if (isFree(port)) {
                return port;
            }
        }
        throw new CannotStart(
                "No port from " + USUAL + " to " + (USUAL + TRIES - 1) + " is free; set TYCHON_PORT to one that is.");
    }

    private static boolean isFree(int port) {
        try (ServerSocket socket = new ServerSocket()) {
            socket.setReuseAddress(true);
            socket.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
            return true;
        } catch (IOException e) {
            return false;
        }
    }
}
