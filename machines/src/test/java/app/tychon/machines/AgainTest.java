package app.tychon.machines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

class AgainTest {
    private final List<String> said = new ArrayList<>();
    private final Again again = new Again(said::add, Duration.ofMillis(1));
    private final Deque<String> hindered = new ArrayDeque<>();

    /** Is hindered by one thing after the other, and then works. */
    private final Supplier<String> attempt = () -> {
        if (hindered.isEmpty()) {
            return "joined";
        }
        throw new IllegalStateException(hindered.pop());
    };

    @Test
    void whatHindersIsToldOnceAndWaitedOut() {
        hindered.addAll(List.of("Nobody answers.", "Nobody answers."));
        assertThat(again.until(attempt, any -> true, () -> false)).contains("joined");
        assertThat(said).containsExactly("Nobody answers. It is tried again and again.");
    }

    @Test
    void whatWillNotPassIsThrown() {
        hindered.add("Another secret.");
        assertThatThrownBy(() -> again.until(attempt, CannotJoin.class::isInstance, () -> false))
                .hasMessage("Another secret.");
        assertThat(said).isEmpty();
    }

    @Test
    void whoeverHasLeftTriesNoMore() {
        hindered.add("Nobody answers.");
        assertThat(again.until(attempt, any -> true, () -> !said.isEmpty())).isEmpty();
        assertThat(hindered).isEmpty();
    }
}
