package app.tychon.e2e.campaign;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** A small disk of its own, in memory, that can be filled to the last byte; for root. */
final class Disk {
    private static final String FILLING = "filling";
    private static final int PIECE = 1 << 16;

    private Disk() {}

    /** Puts one where a folder is; tells whether that can be done here. */
    static boolean begin(Path folder) throws IOException {
        Files.createDirectories(folder);
        return Root.does("mount", "-t", "tmpfs", "-o", "size=16m", "tychon-disk", folder.toString());
    }

    static void end(Path folder) throws IOException {
        Root.does("umount", "-l", folder.toString());
    }

    /** Until nothing can be written any more. */
    static void fill(Path folder) {
        for (int piece = PIECE; piece > 0; piece /= 2) {
            try (OutputStream out = Files.newOutputStream(folder.resolve(FILLING + piece))) {
                while (true) {
                    out.write(new byte[piece]);
                }
            } catch (IOException full) {
                // That is what was wanted; what is left is smaller than a piece.
            }
        }
    }

    static void empty(Path folder) throws IOException {
        for (int piece = PIECE; piece > 0; piece /= 2) {
            Files.deleteIfExists(folder.resolve(FILLING + piece));
        }
    }
}
