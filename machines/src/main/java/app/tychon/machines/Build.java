package app.tychon.machines;

import app.tychon.core.simulation.RunBlocks;
import app.tychon.exchange.ProjectFileReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/**
 * Which build of the calculation a machine has: a digest of its classes. Only machines with the same one work together, since
 * only they give the same bits.
 */
final class Build {
    private static final int LETTERS = 12;
    private static final String CLASS = ".class";

    private Build() {}

    /** A few letters and digits, the same wherever the same classes are, in folders or archives. */
    static String mark() {
        try {
            MessageDigest whole = sha256();
            for (Class<?> one : List.of(RunBlocks.class, ProjectFileReader.class, Build.class)) {
                classes(one.getProtectionDomain().getCodeSource().getLocation()).forEach((name, digest) -> {
                    whole.update(name.getBytes(StandardCharsets.UTF_8));
                    whole.update(digest);
                });
            }
            return HexFormat.of().formatHex(whole.digest()).substring(0, LETTERS);
        } catch (IOException e) {
            throw new UncheckedIOException("the program's own classes cannot be read", e);
        }
    }

    private static SortedMap<String, byte[]> classes(URL location) throws IOException {
        // Within the archive of the server, a library is jar:nested:…!/, of which the inner part can be read.
        String text = location.toString();
        String within = text.startsWith("jar:") ? text.substring(4, text.lastIndexOf("!/")) : text;
        return within.endsWith("/") ? ofFolder(URI.create(within)) : ofArchive(url(within));
    }

    private static URL url(String text) throws IOException {
        try {
            return new URI(text).toURL();
        } catch (URISyntaxException e) {
            throw new IOException(e);
        }
    }

    private static SortedMap<String, byte[]> ofFolder(URI folder) throws IOException {
        SortedMap<String, byte[]> digests = new TreeMap<>();
        Path root = Path.of(folder);
        try (Stream<Path> files = Files.walk(root)) {
            for (Path file : files.filter(one -> one.toString().endsWith(CLASS)).toList()) {
                String name = root.relativize(file).toString().replace('\\', '/');
                digests.put(name, sha256().digest(Files.readAllBytes(file)));
            }
        }
        return digests;
    }

    private static SortedMap<String, byte[]> ofArchive(URL archive) throws IOException {
        SortedMap<String, byte[]> digests = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(archive.openStream())) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().endsWith(CLASS)) {
                    digests.put(entry.getName(), sha256().digest(zip.readAllBytes()));
                }
            }
        }
        return digests;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("this Java lacks SHA-256", e);
        }
    }
}
