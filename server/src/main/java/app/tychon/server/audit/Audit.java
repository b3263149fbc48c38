package app.tychon.server.audit;

import app.tychon.server.rights.Who;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What was done that somebody may ask about later: who came in, who was turned away, what was taken out, shared, deleted. A line
 * of JSON each, to the logger {@code tychon.audit}; everything that somebody typed stands in a string of JSON, so that it cannot
 * pass for another line.
 */
@Component
public class Audit {
    private static final Logger LOG = LoggerFactory.getLogger("tychon.audit");

    private final ObjectMapper json;

    Audit(ObjectMapper json) {
        this.json = json;
    }

    /**
     * Notes that something was done.
     *
     * @param event such as {@code sign-in}
     * @param details names and values, one after the other
     */
    public void note(String event, Object... details) {
        Map<String, Object> line = new LinkedHashMap<>();
        line.put("at", Instant.now().toString());
        line.put("event", event);
        Who.now().ifPresent(who -> line.put("who", who.getName()));
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request) {
            line.put("from", request.getRequest().getRemoteAddr());
        }
        if (MDC.get("request") != null) {
            line.put("request", MDC.get("request"));
        }
        for (int i = 0; i + 1 < details.length; i += 2) {
            line.put(String.valueOf(details[i]), details[i + 1]);
        }
        try {
            LOG.info(json.writeValueAsString(line));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
