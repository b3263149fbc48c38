package app.tychon.server.memory;

import static org.assertj.core.api.Assertions.assertThat;

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
