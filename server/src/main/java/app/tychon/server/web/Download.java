package app.tychon.server.web;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file to be kept by the reader. */
public final class Download {
    public static final String CSV = "text/csv;charset=UTF-8";
    public static final String XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private Download() {}

    public static ResponseEntity<byte[]> of(ByteArrayOutputStream file, String type, String name) {
        String safe = name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", " ").strip();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(safe, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file.toByteArray());
    }
}
