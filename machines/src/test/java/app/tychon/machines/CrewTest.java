package app.tychon.machines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Steadiness;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.io.File;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.BooleanSupplier;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Machines that join, work, leave and are refused; here all in one process, over TLS on this machine's loopback. */
class CrewTest {
    private static final Plan PLAN = RandomPlans.risky(5, 40);
    private static final RunSettings SETTINGS = new RunSettings(40_250, 7, Sampling.LATIN, 1);
    private static final String TEXT = Secret.fresh();
    private static final Secret SECRET = Secret.of(TEXT);
    /** What workers have said. */
    private static final List<String> SAID = new CopyOnWriteArrayList<>();

    private static Address address;
    private static Crew crew;
    private static RunResult alone;

    @BeforeAll
    static void begin() throws IOException {
        address = new Address("127.0.0.1", Places.ports(21_000));
        // At all addresses of this machine, as most will have it.
        crew = Crew.start(
                "server",
                new Address("0.0.0.0", address.port()),
                List.of(),
                SECRET,
                Places.folder().resolve("server"));
        alone = Simulation.run(CompiledPlan.of(PLAN), SETTINGS, RunMonitor.NONE);
    }

    @AfterAll
    static void end() {
        crew.close();
    }

    private static Worker worker(String name) {
        return Worker.join(address, SECRET, name, 1, Places.folder().resolve(name), SAID::add);
    }

    private static void until(BooleanSupplier holds) {
        long end = System.nanoTime() + 30_000_000_000L;
        while (!holds.getAsBoolean()) {
            assertThat(System.nanoTime())
                    .as("waited for too long: %s", crew.machines())
                    .isLessThan(end);
            Thread.yield();
        }
    }

    private static Machine machine(String name) {
        return crew.machines().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** A run whose own threads stand still until something holds. */
    private static RunResult run(String name, BooleanSupplier holds) {
        RunMonitor waiting = new RunMonitor() {
            @Override
            public void pause() {
                until(holds);
            }
        };
        Helpers helpers = crew.anyway(name, () -> false);
        return Simulation.run(CompiledPlan.of(PLAN), SETTINGS, waiting, helpers);
    }

    private static void same(RunResult result) {
        assertThat(result.finish()).isEqualTo(alone.finish());
        assertThat(result.cost().totals()).isEqualTo(alone.cost().totals());
        assertThat(result.paths()).isEqualTo(alone.paths());
        assertThat(result.activities())
                .usingRecursiveFieldByFieldElementComparator()
                .isEqualTo(alone.activities());
    }

    @Test
    void allWorkAtARunAndItsBitsAreThoseOfOneThread() {
        try (Worker one = worker("one");
                Worker two = worker("two")) {
            assertThat(crew.machines()).extracting(Machine::name).containsSubsequence("server", "one", "two");
            // Whoever is ready first may do all of a short run; so again until both have had a share.
            until(() -> {
                long before = machine("one").blocks() + machine("two").blocks();
                same(run("R1", () -> machine("one").blocks() + machine("two").blocks() > before));
                assertThat(machine("one").busy()).isLessThanOrEqualTo(2);
                return machine("one").blocks() > 0 && machine("two").blocks() > 0;
            });
            assertThat(machine("one").iterations()).isPositive();
            assertThat(machine("one").bytes()).isPositive();
        }
    }

    @Test
    void whatAWorkerHadInHandIsDoneByOthersWhenItIsGone() {
        Worker leaving = worker("leaving");
        AtomicBoolean killed = new AtomicBoolean();
        // It may be through before anybody looks; so again until it was killed with something in hand.
        until(() -> {
            long before = machine("leaving").blocks();
            same(run("R2", () -> {
                if (!killed.get() && machine("leaving").busy() > 0) {
                    leaving.kill();
                    killed.set(true);
                }
                return killed.get() || machine("leaving").blocks() > before;
            }));
            return killed.get();
        });
        until(() -> crew.machines().stream().noneMatch(one -> one.name().equals("leaving")));
    }

    @Test
    void aRunUntilItIsSteadyIsSharedAndEndsWhereItWouldAlone() {
        RunSettings settings = new RunSettings(20_000, 7, Sampling.LATIN, 1, Optional.of(new Steadiness(0.05, 0.8)));
        RunResult alone = Simulation.run(CompiledPlan.of(PLAN), settings, RunMonitor.NONE);
        assertThat(alone.iterations()).isLessThan(20_000);
        try (Worker one = worker("steady")) {
            RunMonitor waiting = new RunMonitor() {
                @Override
                public void pause() {
                    until(() -> machine("steady").blocks() > 0);
                }
            };
            RunResult shared = Simulation.run(CompiledPlan.of(PLAN), settings, waiting, crew.anyway("R7", () -> false));
            assertThat(shared.iterations()).isEqualTo(alone.iterations());
            assertThat(shared.finish()).isEqualTo(alone.finish());
            assertThat(shared.activities())
                    .usingRecursiveFieldByFieldElementComparator()
                    .isEqualTo(alone.activities());
        }
    }

    @Test
    void finishAndCostAloneAreSharedToo() {
        try (Worker one = worker("few")) {
            RunMonitor waiting = new RunMonitor() {
                @Override
                public void pause() {
                    until(() -> machine("few").blocks() > 0);
                }
            };
            Helpers helpers = crew.anyway("R4", () -> false);
            Outcomes outcomes = Simulation.outcomes(CompiledPlan.of(PLAN), SETTINGS, waiting, helpers);
            assertThat(outcomes.finish()).isEqualTo(alone.finish());
            assertThat(outcomes.cost()).isEqualTo(alone.cost().totals());
        }
    }

    /** Of a plan that is simulated otherwise than it is, towards something else than its end. */
    @Test
    void differencesOfAVariationAreSharedToo() {
        CompiledPlan whole = CompiledPlan.of(PLAN);
        String end = PLAN.activities().get(PLAN.activities().size() / 2).id();
        CompiledPlan varied = whole.with(whole.variation()
                        .withCorrelations(false)
                        .shortening(PLAN.activities().get(3).id(), new Variation.Shortening(0.1 + 0.2, 17)))
                .towards(end);
        Map<String, Variation> asked = new LinkedHashMap<>();
        PLAN.risks().forEach(risk -> asked.put(risk.id(), varied.variation().withRisk(risk.id(), RiskSetting.OFF)));
        try (Worker one = worker("asked")) {
            RunMonitor waiting = new RunMonitor() {
                @Override
                public void pause() {
                    until(() -> machine("asked").blocks() > 0);
                }
            };
            Differences<String> shared =
                    Differences.of(varied, SETTINGS, asked, waiting, crew.anyway("R5", () -> false), some -> {});
            Differences<String> alone = Differences.of(varied, SETTINGS, asked, RunMonitor.NONE, some -> {});
            assertThat(shared.own().finish()).isEqualTo(alone.own().finish());
            asked.keySet().forEach(key -> {
                assertThat(shared.of(key).finish()).isEqualTo(alone.of(key).finish());
                assertThat(shared.of(key).cost()).isEqualTo(alone.of(key).cost());
            });
        }
    }

    @Test
    void whatIsShortStaysHere() {
        try (Worker one = worker("idle")) {
            RunSettings few = new RunSettings(2000, 7, Sampling.LATIN, 1);
            Task task = Task.outcomes(CompiledPlan.of(PLAN), few);
            assertThat(crew.isWorthSharing(task)).isFalse();
            RunSettings many = new RunSettings(400_000, 7, Sampling.LATIN, 1);
            assertThat(crew.isWorthSharing(Task.outcomes(task.plan(), many)))
                    .as("long enough")
                    .isTrue();
            Variation off = Variation.CURRENT.withRisks(RiskSetting.OFF);
            assertThat(crew.isWorthSharing(Task.differences(task.plan(), few, Collections.nCopies(2000, off))))
                    .as("many questions")
                    .isTrue();
            Steadiness steady = new Steadiness(0.01, 0.8);
            RunSettings rounds = new RunSettings(400_000, 7, Sampling.LATIN, 1, Optional.of(steady));
            assertThat(crew.isWorthSharing(Task.all(task.plan(), rounds)))
                    .as("it may become long")
                    .isTrue();
        }
    }

    @Test
    void oneWhoseEngineHasGivenUpJoinsAnew() {
        try (Worker one = worker("back")) {
            String before = machine("back").id();
            SAID.clear();
            one.lose();
            until(() -> crew.machines().stream()
                    .anyMatch(machine ->
                            machine.name().equals("back") && !machine.id().equals(before)));
            same(run("R6", () -> machine("back").blocks() > 0));
            assertThat(SAID).containsExactly("the server is lost; joining anew", "the server is found again");
        }
    }

    @Test
    void oneThatJoinsInMidRunTakesWorkAtOnce() {
        AtomicReference<Worker> joined = new AtomicReference<>();
        same(run("R3", () -> {
            if (joined.get() == null) {
                joined.set(worker("late"));
            }
            return machine("late").blocks() > 0;
        }));
        joined.get().close();
    }

    @Test
    void whoeverHasAnotherSecretOrBuildIsRefusedWithASentence() {
        Secret other = Secret.of(Secret.fresh());
        assertThatThrownBy(() -> Worker.join(
                        address, other, "stranger", 1, Places.folder().resolve("stranger"), SAID::add))
                .isInstanceOf(CannotJoin.class)
                .hasMessage("The machines at " + address + " have another secret.");
        WorkerRuns runs = new WorkerRuns(1, 1 << 30);
        assertThatThrownBy(() -> Nodes.worker(
                        "old", address, 1, runs, SECRET, Places.folder().resolve("old"), "0123456789ab"))
                .isInstanceOf(CannotJoin.class)
                .hasMessageContaining(
                        "Another build of Tychon is at work here (" + Build.mark() + ", not 0123456789ab)")
                .hasMessageEndingWith("Bring this machine up to date.");
        assertThat(crew.machines()).extracting(Machine::name).doesNotContain("stranger", "old");
    }

    /** A class that none of us has; even if who sends it knows the secret. */
    @Test
    void noClassOfAnotherMachineIsFetchedOrRun() throws IOException {
        Path source = Files.writeString(
                Places.folder().resolve("Foreign.java"),
                """
                public class Foreign implements org.apache.ignite.lang.IgniteCallable<String> {
                    public String call() {
                        return "ran";
                    }
                }
                """);
        String ours = System.getProperty("java.class.path");
        ToolProvider.getSystemJavaCompiler()
                .run(null, null, null, "-cp", ours, "-d", Places.folder().toString(), source.toString());
        Process intruder = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "@" + Files.write(Places.folder().resolve("opens"), opens()),
                        "-cp",
                        ours + File.pathSeparator + Places.folder(),
                        Intruder.class.getName(),
                        address.toString(),
                        TEXT,
                        Places.folder().resolve("intruder").toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(intruder.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(said).contains("joined").contains("refused").doesNotContain("ran");
    }

    /** What this process was started with. */
    private static List<String> opens() {
        return ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                .filter(one -> one.startsWith("--add-opens"))
                .toList();
    }

    @Test
    void whereNobodyAnswersItIsSaid() throws IOException {
        Address nobody = new Address("127.0.0.1", Places.ports(21_000));
        assertThatThrownBy(() ->
                        Worker.join(nobody, SECRET, "lonely", 1, Places.folder().resolve("lonely"), SAID::add))
                .isInstanceOf(NoAnswer.class)
                .hasMessage(nobody + " does not answer.");
    }

    @Test
    void addressesAndSecretsAreCheckedBeforeAnythingStarts() {
        assertThat(Address.of("risk.example.org:9400")).isEqualTo(new Address("risk.example.org", 9400));
        assertThatThrownBy(() -> Address.of("9400"))
                .hasMessageContaining("such as risk.example.org:9400, not \"9400\"");
        assertThatThrownBy(() -> Address.of("host:70000")).isInstanceOf(CannotJoin.class);
        assertThatThrownBy(() -> Secret.of("short")).hasMessageContaining("at least 20 characters");
    }
}
