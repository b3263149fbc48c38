package app.tychon.server.database;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFilePermissions;

/** Files that only their owner reads. */
public final class PrivateFile {
    static final FileAttribute<?> OWNER_ONLY =
            PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------"));

    private PrivateFile() {}

    /** A folder that only its owner looks into; it is made where there is none. */
    public static void folder(Path folder) throws IOException {
        Files.createDirectories(folder);
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
    }

    /** What the file says; where there is none, a fresh key, which is kept in it. */
    public static String key(Path file) throws IOException {
        if (!Files.exists(file)) {
            write(file, Keys.fresh());
        }
        return Files.readString(file).strip();
    }

    /** Private before there is anything in it, and whole before it has its name. */
    public static void write(Path file, String text) throws IOException {
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        Files.deleteIfExists(fresh);
        Files.createFile(fresh, OWNER_ONLY);
        Files.writeString(fresh, text);
        Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }
}
