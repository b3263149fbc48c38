package app.tychon.server.live;

import app.tychon.server.fellows.Fellows;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiConsumer;
import org.springframework.stereotype.Component;

/** Live odds among the servers of one database: whoever works them out tells them, so that the others need not. */
@Component
class FellowOdds {
    private static final String TOPIC = "odds";

    private final Fellows fellows;
    private final ObjectMapper json;

    FellowOdds(Fellows fellows, ObjectMapper json) {
        this.fellows = fellows;
        this.json = json;
    }

    void tell(UUID project, LiveView view) {
        fellows.tell(TOPIC, Map.of("project", project, "view", view));
    }

    /** @param ear is given the project and its odds */
    void hear(BiConsumer<UUID, LiveView> ear) {
        fellows.hear(TOPIC, (server, told) -> {
            try {
                ear.accept(
                        UUID.fromString(told.get("project").asText()),
                        json.treeToValue(told.get("view"), LiveView.class));
            } catch (JsonProcessingException e) {
                throw new IllegalArgumentException("these are no odds: " + told, e);
            }
        });
    }
}
