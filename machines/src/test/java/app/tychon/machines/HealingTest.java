package app.tychon.machines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.net.ServerSocketFactory;
import javax.net.ssl.SSLSocket;
import org.junit.jupiter.api.Test;

/** When a server joins anew because others are apart from it. */
class HealingTest {
    private static final Address SELF = new Address("10.0.0.1", 9400);
    private static final Address NEAR = new Address("10.0.0.2", 9400);
    private static final Address FAR = new Address("10.0.0.3", 9400);

    private final Server member = new Server();
    private final Set<Address> answering = new HashSet<>(Set.of(SELF, NEAR, FAR));
    private final Healing healing = new Healing(member, List.of(SELF, NEAR, FAR), answering::contains, 60_000);

    /** A server that notes whom it has joined anew. */
    private static final class Server implements Healing.Member {
        private final Set<Address> known = new HashSet<>(Set.of(SELF, NEAR));
        private final List<List<Address>> joined = new ArrayList<>();
        private boolean up = true;
        private boolean finds;
        private boolean refused;

        @Override
        public boolean isUp() {
            return up;
        }

        @Override
        public int servers() {
            return finds ? 2 + joined.size() : 2;
        }

        @Override
        public boolean knows(Address one) {
            return known.contains(one);
        }

        @Override
        public void rejoin(List<Address> those) {
            joined.add(those);
            if (refused) {
                throw new CannotJoin("taken");
            }
        }
    }

    private void look(int times) {
        for (int i = 0; i < times; i++) {
            healing.look();
        }
    }

    @Test
    void oneThatAnswersAndIsNotKnownIsJoinedOnceItIsFoundTwice() {
        look(1);
        assertThat(member.joined).isEmpty();
        look(1);
        assertThat(member.joined).containsExactly(List.of(FAR));
    }

    @Test
    void oneThatIsGoneIsNotJoined() {
        answering.remove(FAR);
        look(5);
        assertThat(member.joined).isEmpty();
    }

    @Test
    void oneThatHasJustBegunIsGivenTime() {
        look(1);
        member.known.add(FAR);
        look(1);
        member.known.remove(FAR);
        look(1);
        assertThat(member.joined).isEmpty();
    }

    /** Such as one that is known by another address than it is looked for at. */
    @Test
    void whereItDoesNotHelpItIsTriedMoreAndMoreSeldom() {
        look(2);
        assertThat(member.joined).hasSize(1);
        look(3);
        assertThat(member.joined).hasSize(2);
        look(3);
        assertThat(member.joined).hasSize(2);
        look(1);
        assertThat(member.joined).hasSize(3);
        look(5);
        assertThat(member.joined).hasSize(3);
    }

    @Test
    void whereItHelpsTheNextOneIsJoinedAsSoon() {
        member.finds = true;
        look(2);
        assertThat(member.joined).hasSize(1);
        look(2);
        assertThat(member.joined).hasSize(2);
    }

    @Test
    void anEngineThatHasBrokenDownIsBegunAgainWhoeverAnswers() {
        answering.clear();
        member.up = false;
        look(2);
        assertThat(member.joined).containsExactly(List.of(SELF, NEAR, FAR));
    }

    @Test
    void whatCouldNotBeJoinedIsTriedAgain() {
        member.refused = true;
        healing.look();
        assertThatThrownBy(healing::look).hasMessage("taken");
        look(1);
        assertThatThrownBy(() -> look(2)).hasMessage("taken");
        assertThat(member.joined).hasSize(2);
    }

    @Test
    void whetherOneOfOursAnswersIsFoundOutByShakingHands() throws Exception {
        Secret ours = Secret.of(Secret.fresh());
        ServerSocketFactory doors = ours.context().getServerSocketFactory();
        try (ServerSocket door = doors.createServerSocket(0)) {
            Address there = new Address("127.0.0.1", door.getLocalPort());
            Thread keeper = new Thread(() -> letIn(door));
            keeper.setDaemon(true);
            keeper.start();
            assertThat(Healing.answers(there, ours)).isTrue();
            assertThat(Healing.answers(there, Secret.of(Secret.fresh())))
                    .as("by another secret")
                    .isFalse();
            door.close();
            // Whoever waits at a door is let in by the system until the keeper has woken.
            keeper.join();
            assertThat(Healing.answers(there, ours)).as("once it is gone").isFalse();
        }
        assertThat(Healing.answers(new Address("nowhere.invalid", 9400), ours)).isFalse();
    }

    /** Whoever comes, until the door is closed. */
    private static void letIn(ServerSocket door) {
        while (!door.isClosed()) {
            try (Socket guest = door.accept()) {
                ((SSLSocket) guest).startHandshake();
            } catch (IOException e) {
                // A stranger, or the door was closed.
            }
        }
    }
}
