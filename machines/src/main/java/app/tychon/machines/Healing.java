package app.tychon.machines;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import javax.net.ssl.SSLSocket;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Servers that were cut off from each other stay apart when the network is healed, since each goes on as if the other were gone.
 * Looks from time to time whether one answers that is not among those this server knows, and joins anew where that is so; at a
 * moment that differs from server to server, so that they do not leave in order to join each other.
 */
final class Healing implements AutoCloseable {
    /** What a server is among the others. */
    interface Member {
        /** Whether its engine works. */
        boolean isUp();

        int servers();

        /** Whether it knows the one at an address, which may be itself. */
        boolean knows(Address one);

        /** @param those that it should find; where they do not let it in it goes on without them */
        void rejoin(List<Address> those);
    }

    private static final Logger LOG = LoggerFactory.getLogger(Healing.class);
    private static final int PATIENCE_MILLIS = 2_000;
    /** Looks that pass before joining anew is tried again after it has not helped: twice as many each time, up to so many. */
    private static final int MOST_PASSED = 128;

    private final Member member;
    private final List<Address> others;
    private final Predicate<Address> answers;
    private final long millis;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "machines-heal");
        thread.setDaemon(true);
        return thread;
    });
    /** How often in a row somebody was found apart. */
    private int found;

    private int pass;
    private int toPass = 1;

    /**
     * @param others where servers of the same database are, this one among them or not
     * @param answers whether there is one
     * @param millis between two looks, about
     */
    Healing(Member member, List<Address> others, Predicate<Address> answers, long millis) {
        this.member = member;
        this.others = others;
        this.answers = answers;
        this.millis = millis;
    }

    /** Looks from now on, half as long again at most between two looks, by chance. */
    void begin() {
        long wait = millis + ThreadLocalRandom.current().nextLong(millis / 2 + 1);
        clock.schedule(
                () -> {
                    try {
                        look();
                    } catch (RuntimeException e) {
                        LOG.warn("The other servers could not be joined again: {}", e.getMessage());
                    }
                    begin();
                },
                wait,
                TimeUnit.MILLISECONDS);
    }

    /** Whoever begins answers before it is known; so one is apart that is found so twice in a row. */
    void look() {
        List<Address> apart = member.isUp()
                ? others.stream()
                        .filter(one -> !member.knows(one) && answers.test(one))
                        .toList()
                : others;
        if (apart.isEmpty() && member.isUp()) {
            found = 0;
            pass = 0;
            toPass = 1;
            return;
        }
        if (++found < 2 || pass-- > 0) {
            return;
        }
        int before = member.servers();
        try {
            member.rejoin(apart);
        } finally {
            found = 0;
            pass = member.servers() > before ? 0 : toPass;
            toPass = Math.min(MOST_PASSED, 2 * toPass);
        }
    }

    /** Whether somebody with this secret listens at an address; another is no machine of ours. */
    static boolean answers(Address one, Secret secret) {
        try (Socket line = new Socket()) {
            line.connect(new InetSocketAddress(one.host(), one.port()), PATIENCE_MILLIS);
            line.setSoTimeout(PATIENCE_MILLIS);
            try (SSLSocket sure =
                    (SSLSocket) secret.context().getSocketFactory().createSocket(line, one.host(), one.port(), true)) {
                sure.startHandshake();
                return true;
            }
        } catch (IOException e) {
            return false;
        }
    }

    @Override
    public void close() {
        clock.shutdownNow();
    }
}
