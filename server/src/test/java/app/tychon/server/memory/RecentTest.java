package app.tychon.server.memory;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RecentTest {
    @Test
    void whatHasNotBeenAskedForLongestMakesRoom() {
        Recent<String, Integer> recent = new Recent<>(2);
        recent.put("a", 1);
        recent.put("b", 2);
        assertThat(recent.get("a")).isEqualTo(1);
        recent.put("c", 3);
        assertThat(recent).containsOnlyKeys("a", "c");
    }

    /** However things come in: a thousand answers of a twentieth of a megabyte each, on a cap of twenty. */
    @Test
    void roomIsMadeInWhateverWayThingsComeIn() {
        Map<Integer, byte[]> recent = Collections.synchronizedMap(new Recent<>(20, 600_000, value -> value.length));
        for (int i = 0; i < 1000; i++) {
            switch (i % 3) {
                case 0 -> recent.computeIfAbsent(i, key -> new byte[50_000]);
                case 1 -> recent.putIfAbsent(i, new byte[50_000]);
                default -> recent.merge(i, new byte[50_000], (one, other) -> other);
            }
            assertThat(recent.size()).isLessThanOrEqualTo(12);
            assertThat(recent).containsKey(i);
        }
        Map<Integer, Object> counted = Collections.synchronizedMap(new Recent<>(20));
        for (int i = 0; i < 1000; i++) {
            counted.computeIfAbsent(i, key -> new Object());
        }
        assertThat(counted).hasSize(20).containsKeys(980, 999);
    }

    @Test
    void whatTakesMuchMemoryMakesRoomSoonerButTheNewestStays() {
        Recent<String, Integer> recent = new Recent<>(10, 100, Integer::longValue);
        recent.put("a", 40);
        recent.put("b", 40);
        recent.put("c", 40);
        assertThat(recent).containsOnlyKeys("b", "c");
        recent.put("huge", 1000);
        assertThat(recent).containsOnlyKeys("huge");
    }
}
