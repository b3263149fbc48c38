package app.tychon.server.cuts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.tychon.server.ServerTest;
import app.tychon.server.TestDatabase;
import app.tychon.server.cuts.CutProxy.Side;
import app.tychon.server.database.Connections;
import app.tychon.server.plan.PlanStore;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.util.ReflectionTestUtils;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;

/**
 * The line to the database is cut at statement after statement of every kind of change. After each cut the state is the one
 * before or the one after, whole, in memory and in the database, and the answer says the truth.
 *
 * <p>A run of all tests cuts each kind at a few statements, the last among them; {@code -Dtychon.cuts=all} cuts at every one.
 */
@DirtiesContext
class CutsTest extends ServerTest {
    static final boolean ALL = "all".equals(System.getProperty("tychon.cuts"));
    private static final Logger LOG = LoggerFactory.getLogger(CutsTest.class);
    private static CutProxy proxy;

    @Autowired
    private PlanStore plans;

    @DynamicPropertySource
    static void throughTheProxy(DynamicPropertyRegistry registry) {
        Connections.askEachTime();
        proxy = new CutProxy(TestDatabase.port());
        registry.add("spring.datasource.hikari.jdbc-url", () -> TestDatabase.urlAt(proxy.port()));
    }

    @AfterAll
    static void closeTheProxy() {
        proxy.close();
    }

    private Subject subject(Change kind) throws Exception {
        Subject subject = new Subject(http, json, (Map<?, ?>) ReflectionTestUtils.getField(plans, "warm"));
        kind.prepare(subject);
        return subject;
    }

    @ParameterizedTest
    @EnumSource(Change.class)
    void theStateIsTheOneBeforeOrTheOneAfterAndTheAnswerIsTrue(Change kind) throws Exception {
        // What is done for the first time takes more statements.
        Subject first = subject(kind);
        first.does(kind.change(first));
        Subject whole = subject(kind);
        String before = kind.seen(whole);
        AbstractMockHttpServletRequestBuilder<?> change = kind.change(whole);
        proxy.count();
        whole.does(change);
        int asked = proxy.stop();
        String after = kind.seen(whole);
        int statements = kind.goesOn() ? proxy.stop() : asked;
        assertThat(after).isNotEqualTo(before);
        assertThat(statements).isGreaterThan(1);
        int cuts = 0;
        for (int statement : ALL ? every(statements) : few(kind, statements)) {
            for (Side side : Side.values()) {
                cuts += cut(kind, statement, side, before, after) ? 1 : 0;
            }
        }
        assertThat(cuts).isPositive();
        LOG.warn("{}: {} cuts at {} statements", kind, cuts, statements);
    }

    private static List<Integer> every(int statements) {
        return IntStream.rangeClosed(1, statements).boxed().toList();
    }

    private static List<Integer> few(Change kind, int statements) {
        boolean takesLong = kind == Change.BRIEF_ISSUED || kind == Change.PROGRAMME_FOLLOWING;
        return takesLong ? List.of(statements) : List.of(statements / 3, statements * 2 / 3, statements);
    }

    /** Whether it was cut at all: a change may have taken fewer statements this time. */
    private boolean cut(Change kind, int statement, Side side, String before, String after) throws Exception {
        Subject subject = subject(kind);
        AbstractMockHttpServletRequestBuilder<?> request = kind.change(subject);
        proxy.cutAt(statement, side);
        MockHttpServletResponse response = subject.send(request);
        if (!kind.goesOn()) {
            proxy.stop();
        }
        String seen = seen(kind, subject);
        proxy.stop();
        String what = "%s cut %s statement %d, answered %d %s"
                .formatted(kind, side, statement, response.getStatus(), response.getContentAsString());
        assertThat(seen.equals(before) || seen.equals(after)).as(what).isTrue();
        if (response.getStatus() < 300) {
            assertThat(seen).as(what).isEqualTo(after);
        } else {
            assertThat(response.getStatus()).as(what).isEqualTo(503);
            JsonNode told = json.readTree(response.getContentAsString());
            if (!told.path("outcome").asText().equals("unknown")) {
                assertThat(seen).as(what).isEqualTo(before);
                assertThat(told.get("detail").asText()).contains("Nothing was changed");
            }
        }
        return proxy.hasCut();
    }

    /** What is to be seen in the end; what goes on may be cut while it is looked at. */
    private static String seen(Change kind, Subject subject) {
        AtomicReference<String> seen = new AtomicReference<>();
        await().atMost(Change.PATIENCE)
                .ignoreExceptionsMatching(Subject.Refused.class::isInstance)
                .until(() -> {
                    seen.set(kind.seen(subject));
                    return true;
                });
        return seen.get();
    }
}
