package app.tychon.server.scenarios;

import app.tychon.core.model.Scenario;
import app.tychon.core.scenario.ScenarioOdds;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.exchange.changes.Laid;
import app.tychon.server.memory.Recent;
import app.tychon.server.odds.Answer;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/** A scenario of one version of a plan, as far as it is worked out. */
final class Slot {
    private static final int MOST_ANSWERS = 8;

    /**
     * What a slot is of.
     *
     * @param plan     the very network of the plan
     * @param scenario without what calculates nothing; absent for the plan itself
     */
    record Key(Network plan, Optional<Scenario> scenario) {
        static Key of(Network plan, Optional<Scenario> scenario) {
            return new Key(
                    plan, scenario.map(one -> one.withName("").withNote("").withPutAway(false)));
        }
    }

    private final Key key;
    private final Map<Object, Answer<?>> answers = Collections.synchronizedMap(new Recent<>(MOST_ANSWERS));
    private volatile Laid laid;
    private volatile CompiledPlan compiled;
    private volatile ScenarioOdds first;
    private volatile ScenarioOdds refined;
    private volatile String refusal;
    private boolean refining;

    Slot(Key key) {
        this.key = key;
    }

    Key key() {
        return key;
    }

    void laid(Laid now) {
        laid = now;
    }

    Optional<Laid> laid() {
        return Optional.ofNullable(laid);
    }

    /** Ready to simulate while it is refined; afterwards it is made anew. */
    void compiled(CompiledPlan now) {
        compiled = now;
    }

    CompiledPlan compiled() {
        CompiledPlan ready = compiled;
        return ready != null ? ready : CompiledPlan.of(laid.plan());
    }

    void odds(ScenarioOdds odds, boolean last) {
        if (last) {
            refined = odds;
            compiled = null;
        } else {
            first = odds;
        }
    }

    void refuse(String why) {
        refusal = why;
    }

    Optional<String> refusal() {
        return Optional.ofNullable(refusal);
    }

    /** The best that is known. */
    Optional<ScenarioOdds> odds() {
        return Optional.ofNullable(refined != null ? refined : first);
    }

    /** Of two slots the best that both have of the same futures. */
    Optional<ScenarioOdds> like(Slot other) {
        return refined != null && other.refined != null ? Optional.of(refined) : Optional.ofNullable(first);
    }

    /** Whether it is known by few futures at least, or why it is not. */
    boolean isSettled() {
        return first != null || refusal != null;
    }

    /** Tells whoever asks first that it is to be worked out by more futures. */
    synchronized boolean startsRefining() {
        boolean starts = !refining && first != null;
        refining |= starts;
        return starts;
    }

    /** It could not be begun to be worked out by more futures. */
    synchronized void refineLater() {
        refining = false;
    }

    boolean isRefined() {
        return refined != null;
    }

    /** The answer to a question about it that takes a while: worked out once, also where several ask at the same time. */
    @SuppressWarnings("unchecked")
    <T> T once(Object question, Supplier<T> making) {
        return ((Answer<T>) answers.computeIfAbsent(question, asked -> new Answer<>())).get(making);
    }
}
