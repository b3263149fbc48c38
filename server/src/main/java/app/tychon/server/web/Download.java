package app.tychon.server.web;

import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.SheetFiles;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
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

    /** A table as text. @param name of the file, without its ending */
    public static ResponseEntity<byte[]> csv(Sheet sheet, String name) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SheetFiles.csv(sheet, out);
        return of(out, CSV, name + ".csv");
    }

    /** A table as a spreadsheet. @param name of the file, without its ending */
    public static ResponseEntity<byte[]> xlsx(Sheet sheet, String name) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SheetFiles.xlsx(sheet, out);
        return of(out, XLSX, name + ".xlsx");
    }
}
