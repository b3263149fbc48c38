package app.tychon.server.fellows;

import app.tychon.machines.Crew;
import app.tychon.machines.Ring;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * The other servers of the same database. What is stored they read for themselves; told is only what windows and memories should
 * know at once. A server that is alone has nobody to tell.
 */
@Component
public class Fellows {
    private static final Logger LOG = LoggerFactory.getLogger(Fellows.class);

    /** What is told. */
    private record Letter(String topic, Object what) {}

    private final Optional<Crew> crew;
    private final ObjectMapper json;
    private final Map<String, BiConsumer<String, JsonNode>> ears = new ConcurrentHashMap<>();
    private final List<Consumer<String>> mourners = new CopyOnWriteArrayList<>();
    private final List<Runnable> welcomers = new CopyOnWriteArrayList<>();

    Fellows(Optional<Crew> crew, ObjectMapper json) {
        this.crew = crew;
        this.json = json;
        crew.ifPresent(all -> {
            Ring ring = all.ring();
            ring.listen(this::heard);
            ring.whenTogetherAgain(() -> welcomers.forEach(Runnable::run));
            ring.whenServerGone(server -> mourners.forEach(one -> one.accept(server)));
        });
    }

    /** Tells all others, if there are any. */
    public void tell(String topic, Object what) {
        ring().filter(all -> all.servers().size() > 1).ifPresent(all -> {
            try {
                all.tell(json.writeValueAsBytes(new Letter(topic, what)));
            } catch (JsonProcessingException e) {
                throw new IllegalArgumentException("this cannot be told: " + what, e);
            }
        });
    }

    /** @param ear is given which server tells, and what */
    public void hear(String topic, BiConsumer<String, JsonNode> ear) {
        ears.put(topic, ear);
    }

    private void heard(String from, byte[] bytes) {
        try {
            JsonNode letter = json.readTree(bytes);
            BiConsumer<String, JsonNode> ear = ears.get(letter.get("topic").asText());
            if (ear != null) {
                ear.accept(from, letter.get("what"));
            }
        } catch (IOException | RuntimeException e) {
            LOG.error("What another server told was not understood", e);
        }
    }

    /** @param then is given which server is gone */
    public void whenGone(Consumer<String> then) {
        mourners.add(then);
    }

    /** @param then is done when servers that were cut off know each other again: what was told meanwhile was not heard */
    public void whenTogetherAgain(Runnable then) {
        welcomers.add(then);
    }

    private Optional<Ring> ring() {
        return crew.map(Crew::ring);
    }

    /** What this server is called among the others; nothing where it is alone by its settings. */
    public Optional<String> self() {
        return ring().map(Ring::id);
    }

    /** Those that are there, this one among them; none where it is alone by its settings. */
    public List<String> alive() {
        return ring().map(Ring::servers).orElse(List.of());
    }

    /** Whether it falls to this server to do what one should do for all. */
    public boolean isFirst() {
        return self().isEmpty() || alive().stream().findFirst().equals(self());
    }
}
