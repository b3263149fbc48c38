package app.tychon.machines;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collection;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import org.apache.ignite.Ignite;
import org.apache.ignite.Ignition;
import org.junit.jupiter.api.Test;

/** Two servers that do not know each other though each answers, as after a network was cut and healed. */
class RingTest {
    private static final Secret SECRET = Secret.of(Secret.fresh());
    private static final long LOOK = 200;

    private static void until(BooleanSupplier holds) {
        long end = System.nanoTime() + 60_000_000_000L;
        while (!holds.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
            Thread.yield();
        }
    }

    private static Crew server(String name, int port, List<Address> others) {
        return Crew.start(
                name,
                new Address("127.0.0.1", port),
                others,
                SECRET,
                Places.folder().resolve(name),
                LOOK);
    }

    /** What it is told, as texts. */
    private static List<String> heard(Ring ring) {
        List<String> heard = new CopyOnWriteArrayList<>();
        ring.listen((from, what) -> heard.add(from + " " + new String(what, UTF_8)));
        return heard;
    }

    private static void loseEngine(Ring ring) {
        String name = Ignition.allGrids().stream()
                .filter(one -> ring.id().equals(one.cluster().localNode().attribute(Nodes.ID)))
                .map(Ignite::name)
                .findFirst()
                .orElseThrow();
        Ignition.stop(name, true);
    }

    @Test
    void serversThatAreApartJoinEachOtherAndStayWhoTheyWere() throws Exception {
        int first = Places.ports(23_000);
        int second = Places.ports(first + 2);
        Crew one = server("one", first, List.of(new Address("127.0.0.1", second)));
        try {
            String id = one.ring().id();
            List<String> heardByOne = heard(one.ring());
            AtomicInteger welcomed = new AtomicInteger();
            one.ring().whenTogetherAgain(welcomed::incrementAndGet);
            // Knows of nobody, so it begins by itself.
            Crew other = server("other", second, List.of());
            try {
                List<String> heardByOther = heard(other.ring());
                until(() -> one.ring().servers().size() == 2
                        && other.ring().servers().size() == 2);
                assertThat(one.ring().servers())
                        .isEqualTo(other.ring().servers())
                        .contains(id);
                assertThat(one.ring().id()).isEqualTo(id);
                until(() -> welcomed.get() == 1);
                one.ring().tell("hello".getBytes(UTF_8));
                other.ring().tell("hello back".getBytes(UTF_8));
                until(() -> !heardByOne.isEmpty() && !heardByOther.isEmpty());
                assertThat(heardByOther).containsExactly(id + " hello");
                assertThat(heardByOne).containsExactly(other.ring().id() + " hello back");

                List<String> gone = new CopyOnWriteArrayList<>();
                AtomicInteger back = new AtomicInteger();
                other.ring().whenServerGone(gone::add);
                other.ring().whenTogetherAgain(back::incrementAndGet);
                loseEngine(one.ring());
                until(() -> back.get() == 1);
                assertThat(gone).containsExactly(id);
                until(() -> one.ring().servers().size() == 2);
                other.ring().tell("still there?".getBytes(UTF_8));
                until(() -> heardByOne.size() == 2);
            } finally {
                other.close();
            }
            until(() -> one.ring().servers().size() == 1);
        } finally {
            one.close();
        }
    }

    /** Such as at one of another build, which has the secret and refuses it all the same. */
    @Test
    void oneThatIsNotLetInGoesOnByItself() throws Exception {
        Address here = new Address("127.0.0.1", Places.ports(25_000));
        Address other = new Address("127.0.0.1", Places.ports(here.port() + 2));
        AtomicInteger begun = new AtomicInteger();
        AtomicInteger refused = new AtomicInteger();
        Function<Collection<Address>, Ignite> joining = others -> {
            if (begun.get() > 0 && others.contains(other)) {
                refused.incrementAndGet();
                throw new CannotJoin("It is of another build.");
            }
            begun.incrementAndGet();
            return Nodes.server(
                    "lone", "lone", here, List.of(), SECRET, Places.folder().resolve("lone"));
        };
        Ring ring = new Ring("lone", here, List.of(other), joining, any -> true, LOOK);
        try {
            until(() -> refused.get() > 0 && begun.get() > 1 && ring.servers().equals(List.of("lone")));
        } finally {
            ring.close();
        }
    }
}
