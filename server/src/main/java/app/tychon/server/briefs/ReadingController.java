package app.tychon.server.briefs;

import app.tychon.brief.paper.PageWeb;
import app.tychon.server.rights.ForEverybody;
import io.swagger.v3.oas.annotations.Hidden;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is read by a link: pages of their own, for people who have nothing but the link. */
@Hidden
@RestController
@ForEverybody
@RequestMapping(ReadingController.PATH)
class ReadingController {
    static final String PATH = "/read";
    private static final MediaType HTML = new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8);
    private static final Duration LONG = Duration.ofDays(30);

    private final Issues issues;

    ReadingController(Issues issues) {
        this.issues = issues;
    }

    @GetMapping("/{key}")
    ResponseEntity<byte[]> read(@PathVariable String key) {
        return issues.read(key)
                .map(data -> page(HttpStatus.OK, data.html()))
                .orElseGet(() -> page(HttpStatus.NOT_FOUND, PageWeb.withdrawn().getBytes(StandardCharsets.UTF_8)));
    }

    private static ResponseEntity<byte[]> page(HttpStatus status, byte[] html) {
        return ResponseEntity.status(status)
                .contentType(HTML)
                .cacheControl(CacheControl.noStore())
                .header("X-Robots-Tag", "noindex, nofollow")
                .header("Referrer-Policy", "no-referrer")
                .body(html);
    }

    /** A face of its letters, by its weight. */
    @GetMapping("/faces/{weight}.ttf")
    ResponseEntity<byte[]> face(@PathVariable int weight) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("font/ttf"))
                .cacheControl(CacheControl.maxAge(LONG).cachePublic())
                .body(PageWeb.face(weight));
    }
}
