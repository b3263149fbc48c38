package app.tychon.server.cuts;

import java.io.Closeable;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Stands between server and database, counts the statements that pass, and cuts every connection at the one it was told: before
 * it reaches the database, or after it was carried out and before the answer is heard. Who comes back is let through.
 */
final class CutProxy implements AutoCloseable {
    /** Of a client's packet that begins a command. */
    private static final int QUERY = 0x03;

    private static final int EXECUTE = 0x17;
    private static final int BULK = 0xfa;
    private static final int HEADER = 4;

    /** On which side of a statement is cut. */
    enum Side {
        BEFORE,
        AFTER
    }

    private final ServerSocket door;
    private final int target;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private int passed;
    /** The statement at which is cut, counted from 1; none where it is 0. */
    private int cutAt;

    private Side side = Side.BEFORE;
    private boolean cut;

    /** @param target port of the database on this machine */
    CutProxy(int target) {
        this.target = target;
        try {
            door = new ServerSocket(0, 200, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        daemon(this::welcome, "cut-proxy");
    }

    int port() {
        return door.getLocalPort();
    }

    /** Counts from here on. */
    synchronized void count() {
        passed = 0;
        cutAt = 0;
        cut = false;
    }

    /** Cuts at the n-th statement from here on. */
    synchronized void cutAt(int statement, Side which) {
        count();
        cutAt = statement;
        side = which;
    }

    /** Statements since counting began; cuts no more. */
    synchronized int stop() {
        cutAt = 0;
        return passed;
    }

    synchronized boolean hasCut() {
        return cut;
    }

    private void welcome() {
        while (!door.isClosed()) {
            try {
                Socket client = door.accept();
                Socket server = new Socket(InetAddress.getLoopbackAddress(), target);
                client.setTcpNoDelay(true);
                server.setTcpNoDelay(true);
                open.add(client);
                open.add(server);
                Line line = new Line(client, server);
                daemon(line::statements, "statements");
                daemon(line::answers, "answers");
            } catch (IOException e) {
                // The door is closed, or the database is gone; whoever came sees a closed line.
            }
        }
    }

    /** Cuts every connection, now. */
    void cutAll() {
        // Whoever comes meanwhile is not forgotten.
        for (Socket socket : List.copyOf(open)) {
            close(socket);
            open.remove(socket);
        }
    }

    private static void close(Closeable socket) {
        try {
            socket.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void daemon(Runnable task, String name) {
        Thread thread = new Thread(task, name);
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void close() {
        close(door);
        cutAll();
    }

    /** What is to be done with a statement. */
    private enum Verdict {
        PASS,
        CUT,
        PASS_AND_CUT
    }

    private synchronized Verdict verdict() {
        passed++;
        if (cut || passed != cutAt) {
            return Verdict.PASS;
        }
        cut = true;
        return side == Side.BEFORE ? Verdict.CUT : Verdict.PASS_AND_CUT;
    }

    /** One connection. */
    private final class Line {
        private final Socket client;
        private final Socket server;
        /** Whether the next answer is the last thing that happens here. */
        private volatile boolean cutAtAnswer;

        Line(Socket client, Socket server) {
            this.client = client;
            this.server = server;
        }

        void statements() {
            try (DataInputStream in = new DataInputStream(client.getInputStream())) {
                OutputStream out = server.getOutputStream();
                byte[] header = new byte[HEADER];
                while (true) {
                    in.readFully(header);
                    int length = (header[0] & 0xff) | (header[1] & 0xff) << 8 | (header[2] & 0xff) << 16;
                    byte[] packet = new byte[HEADER + length];
                    System.arraycopy(header, 0, packet, 0, HEADER);
                    in.readFully(packet, HEADER, length);
                    boolean begins = header[3] == 0 && length > 0 && isStatement(packet[HEADER] & 0xff);
                    Verdict verdict = begins ? verdict() : Verdict.PASS;
                    if (verdict == Verdict.CUT) {
                        cutAll();
                        end();
                        return;
                    }
                    cutAtAnswer |= verdict == Verdict.PASS_AND_CUT;
                    out.write(packet);
                    out.flush();
                }
            } catch (IOException e) {
                end();
            }
        }

        void answers() {
            byte[] buffer = new byte[64 * 1024];
            try {
                OutputStream out = client.getOutputStream();
                for (int read = server.getInputStream().read(buffer); read >= 0; ) {
                    if (cutAtAnswer) {
                        // The database has answered, so what was asked is done.
                        cutAll();
                        break;
                    }
                    out.write(buffer, 0, read);
                    out.flush();
                    read = server.getInputStream().read(buffer);
                }
            } catch (IOException e) {
                // Either side is gone.
            }
            end();
        }

        private void end() {
            close(client);
            close(server);
            open.remove(client);
            open.remove(server);
        }

        private boolean isStatement(int command) {
            return command == QUERY || command == EXECUTE || command == BULK;
        }
    }
}
