package app.tychon.brief.paper;

import com.openhtmltopdf.extend.FSSupplier;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The faces that briefs are set in: the application's own for Latin, Greek and Cyrillic letters, and for others what the machine
 * has. A letter is set in the first face that has it.
 */
final class Faces {
    private static final String OWN = "/app/tychon/brief/fonts/";
    private static final int PLAIN = 400;
    private static final int STRONG = 600;
    /** Faces of common packages that can be put into a PDF, by the names of their files. */
    private static final Map<String, String> OTHERS = others();

    private static final List<Path> PLACES = List.of(Path.of("/usr/share/fonts"), Path.of("/usr/local/share/fonts"));
    private static final List<Face> ALL = find();

    /** A face, as a style sheet names it. */
    record Face(String family, int weight, FSSupplier<InputStream> file) {}

    private Faces() {}

    private static Map<String, String> others() {
        Map<String, String> files = new LinkedHashMap<>();
        files.put("DejaVuSans.ttf", "DejaVu Sans");
        files.put("NotoSansArabic-Regular.ttf", "Noto Sans Arabic");
        files.put("NotoSansHebrew-Regular.ttf", "Noto Sans Hebrew");
        files.put("NotoSansDevanagari-Regular.ttf", "Noto Sans Devanagari");
        files.put("NotoSansThai-Regular.ttf", "Noto Sans Thai");
        files.put("DroidSansFallbackFull.ttf", "Droid Sans Fallback");
        files.put("unifont.ttf", "Unifont");
        return files;
    }

    static List<Face> all() {
        return ALL;
    }

    /** All families, as a style sheet lists them. */
    static String families() {
        return ALL.stream().map(face -> "'" + face.family() + "'").distinct().collect(Collectors.joining(", "));
    }

    private static List<Face> find() {
        List<Face> faces = new ArrayList<>();
        faces.add(new Face("Source Sans 3", PLAIN, own("SourceSans3-Regular.ttf")));
        faces.add(new Face("Source Sans 3", STRONG, own("SourceSans3-Semibold.ttf")));
        Map<String, Path> there = there();
        OTHERS.forEach((file, family) -> {
            Path path = there.get(file);
            if (path != null) {
                faces.add(new Face(family, PLAIN, () -> open(path)));
            }
        });
        return List.copyOf(faces);
    }

    private static FSSupplier<InputStream> own(String file) {
        return () -> Faces.class.getResourceAsStream(OWN + file);
    }

    private static Map<String, Path> there() {
        Map<String, Path> there = new LinkedHashMap<>();
        for (Path place : PLACES) {
            if (Files.isDirectory(place)) {
                try (Stream<Path> files = Files.walk(place)) {
                    files.filter(file -> OTHERS.containsKey(file.getFileName().toString()))
                            .forEach(
                                    file -> there.putIfAbsent(file.getFileName().toString(), file));
                } catch (IOException | UncheckedIOException e) {
                    // A folder that cannot be read has no faces for us.
                    continue;
                }
            }
        }
        return there;
    }

    private static InputStream open(Path path) {
        try {
            return Files.newInputStream(path);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
