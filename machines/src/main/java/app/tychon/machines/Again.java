package app.tychon.machines;

import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * Tries what does not work yet until it does.
 *
 * @param say is told why it does not work yet, once for each reason
 * @param between two tries
 */
record Again(Consumer<String> say, Duration between) {
    static final Duration USUAL = Duration.ofSeconds(2);

    /**
     * @param passes whether it may be otherwise later; what may not is thrown
     * @param left whether nobody wants it any more
     * @return nothing where that is so
     */
    <T> Optional<T> until(Supplier<T> attempt, Predicate<RuntimeException> passes, BooleanSupplier left) {
        String why = "";
        while (!left.getAsBoolean()) {
            try {
                return Optional.of(attempt.get());
            } catch (RuntimeException e) {
                if (!passes.test(e)) {
                    throw e;
                }
                if (!why.equals(String.valueOf(e.getMessage()))) {
                    why = String.valueOf(e.getMessage());
                    say.accept(why + " It is tried again and again.");
                }
                LockSupport.parkNanos(between.toNanos());
            }
        }
        return Optional.empty();
    }
}
