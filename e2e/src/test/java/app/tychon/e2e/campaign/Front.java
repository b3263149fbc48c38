package app.tychon.e2e.campaign;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;

/** One address before two servers, as a proxy is: each connection goes to the one that is preferred, or else to the other. */
final class Front implements AutoCloseable {
    private final ServerSocket door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
    private int[] ports;
    private volatile int preferred;

    Front() throws IOException {}

    /** Lets guests in from now on. */
    void open(int one, int other) {
        ports = new int[] {one, other};
        thread(() -> {
            while (true) {
                Socket guest = door.accept();
                thread(() -> lead(guest));
            }
        });
    }

    int port() {
        return door.getLocalPort();
    }

    String address() {
        return "http://127.0.0.1:" + port();
    }

    /** New connections go there from now on. @param server 0 or 1 */
    void prefer(int server) {
        preferred = server;
    }

    private void lead(Socket guest) throws IOException {
        try (guest;
                Socket server = server()) {
            Thread back = thread(() -> pour(server, guest));
            pour(guest, server);
            back.join();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private Socket server() throws IOException {
        int first = preferred;
        try {
            return new Socket(InetAddress.getLoopbackAddress(), ports[first]);
        } catch (IOException gone) {
            return new Socket(InetAddress.getLoopbackAddress(), ports[1 - first]);
        }
    }

    /** Until either side ends, which ends the other. */
    private static void pour(Socket from, Socket to) throws IOException {
        try (from;
                to) {
            InputStream in = from.getInputStream();
            OutputStream out = to.getOutputStream();
            in.transferTo(out);
        }
    }

    /** What a thread does; it ends with the connection. */
    private interface Work {
        void run() throws IOException;
    }

    private static Thread thread(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (IOException e) {
                // The connection has ended.
            }
        });
        thread.setDaemon(true);
        thread.start();
        return thread;
    }

    @Override
    public void close() throws IOException {
        door.close();
    }
}
