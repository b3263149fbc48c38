package app.tychon.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PlacesTest {
    private static List<String> sorted(List<String> rows, Map<String, Integer> places) {
        return rows.stream()
                .sorted((a, b) -> Integer.compare(places.get(a), places.get(b)))
                .toList();
    }

    @Test
    void aRowBetweenTwoOthersMovesNeither() {
        Map<String, Integer> known = Map.of("a", 0, "b", 1000);
        assertThat(Places.of(List.of("a", "x", "b"), known, known::containsKey)).isEqualTo(Map.of("x", 500));
        assertThat(Places.of(List.of("x", "a", "b"), known, known::containsKey)).isEqualTo(Map.of("x", -500));
        assertThat(Places.of(List.of("a", "b", "x", "y"), known, known::containsKey))
                .isEqualTo(Map.of("x", 2000, "y", 3000));
    }

    @Test
    void whereThereIsNoRoomAllRowsArePlacedAnew() {
        Map<String, Integer> known = Map.of("a", 0, "b", 1);
        assertThat(Places.of(List.of("a", "x", "b"), known, known::containsKey))
                .isEqualTo(Map.of("x", 1000, "b", 2000));
    }

    @Test
    void rowsPutInOneAfterTheOtherStandInTheirOrder() {
        Random random = new Random(3);
        List<String> rows = new ArrayList<>();
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < 500; i++) {
            // Always at the same place for a while, which leaves the least room.
            rows.add(i % 50 == 0 ? random.nextInt(rows.size() + 1) : Math.min(rows.size(), 7), "row " + i);
            places.putAll(Places.of(rows, places, places::containsKey));
            assertThat(sorted(rows, places)).isEqualTo(rows);
        }
    }
}
