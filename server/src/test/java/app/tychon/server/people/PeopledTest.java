package app.tychon.server.people;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.TestDatabase;
import app.tychon.server.rights.MembershipEntity;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.Role;
import app.tychon.server.rights.Who;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetupTest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.autoconfigure.web.servlet.MockMvcPrint;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.springframework.http.MediaType;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.bean.override.mockito.MockitoSpyBean;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;

/** The whole server over HTTP where people have accounts: an owner, an editor, a risk owner, a reader, and a stranger who looks after people. */
@SpringBootTest
@Import({StopsAtTheHandler.class, QuickPasswords.class})
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
public abstract class PeopledTest {
    protected static final String OWNER = "olga@ridge.example";
    protected static final String EDITOR = "edda@ridge.example";
    protected static final String RISK_OWNER = "rolf@ridge.example";
    protected static final String READER = "rhea@ridge.example";
    /** Looks after people, and takes part in no project. */
    protected static final String ADMINISTRATOR = "adam@ridge.example";

    protected static final String PASSWORD = "seven quiet lanterns 52";

    private static final Map<String, String> NAMES = Map.of(
            OWNER, "Olga Frey",
            EDITOR, "Edda Wirth",
            RISK_OWNER, "Rolf Mahler",
            READER, "Rhea Lund",
            ADMINISTRATOR, "Adam Stone");

    /** Of single sign-on. */
    static final Provider PROVIDER = new Provider();

    /** Where letters arrive. */
    protected static final GreenMail POST_OFFICE = postOffice();

    private final Map<String, String> tokens = new ConcurrentHashMap<>();

    @Autowired
    protected MockMvc http;

    @Autowired
    protected ObjectMapper json;

    @Autowired
    protected People people;

    @Autowired
    protected OwnAccount own;

    @Autowired
    protected Memberships memberships;

    @MockitoSpyBean
    protected Clock clock;

    private static GreenMail postOffice() {
        GreenMail office = new GreenMail(ServerSetupTest.SMTP.dynamicPort());
        office.start();
        return office;
    }

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry registry) {
        TestDatabase.usePeopled(registry);
        registry.add("spring.mail.host", () -> "127.0.0.1");
        registry.add("spring.mail.port", () -> POST_OFFICE.getSmtp().getPort());
        registry.add("tychon.mail-from", () -> "tychon@ridge.example");
        registry.add("tychon.opened", () -> "https://risk.ridge.example");
        registry.add("tychon.oidc.issuer", PROVIDER::issuer);
        registry.add("tychon.oidc.client", () -> Provider.CLIENT);
        registry.add("tychon.oidc.secret", () -> Provider.SECRET);
        registry.add("tychon.oidc.name", () -> "the ridge");
    }

    @BeforeEach
    void everybodyIsHere() {
        if (!people.areHere()) {
            join(ADMINISTRATOR, true);
            NAMES.keySet().stream()
                    .filter(email -> people.byEmail(email).isEmpty())
                    .forEach(email -> join(email, false));
        }
    }

    private void join(String email, boolean administrator) {
        String link = people.add(email, NAMES.get(email), administrator);
        own.join(link.substring(JoinController.PAGE.length() + 1), PASSWORD);
    }

    protected UUID account(String email) {
        return people.accountOf(email).orElseThrow();
    }

    /** A token that reaches all that somebody reaches. */
    protected String token(String email) {
        return tokens.computeIfAbsent(email, one -> own.token(account(one), "tests", Who.Scope.EVERYTHING, null, 1));
    }

    /** Sends a request in somebody's name. */
    protected ResultActions as(String email, AbstractMockHttpServletRequestBuilder<?> request) throws Exception {
        return http.perform(request.header("Authorization", "Bearer " + token(email)));
    }

    /** The same with something to say, as JSON. */
    protected ResultActions sends(String email, AbstractMockHttpServletRequestBuilder<?> request, String said)
            throws Exception {
        return as(
                email,
                request.header("Content-Type", MediaType.APPLICATION_JSON_VALUE).content(said));
    }

    /** The demo as a project of the owner's, in which the others have their parts. */
    protected String project() throws Exception {
        String body = as(
                        OWNER,
                        post("/api/projects")
                                .contentType(MediaType.APPLICATION_JSON)
                                .content(Files.readAllBytes(Path.of("..", "examples", "kestrel-ridge.tychon.json"))))
                .andExpect(status().isCreated())
                .andReturn()
                .getResponse()
                .getContentAsString();
        UUID project = UUID.fromString(json.readTree(body).get("id").asText());
        memberships.save(new MembershipEntity(project, account(EDITOR), Role.EDITOR));
        memberships.save(new MembershipEntity(project, account(READER), Role.READER));
        MembershipEntity keeper = new MembershipEntity(project, account(RISK_OWNER), Role.RISK_OWNER);
        keeper.callOwner("Logistics lead");
        memberships.save(keeper);
        return project.toString();
    }

    protected JsonNode answer(ResultActions result) throws Exception {
        return json.readTree(result.andReturn().getResponse().getContentAsString());
    }

    /** Makes it another time for all that asks the clock. */
    protected void at(Instant time) {
        org.mockito.Mockito.doReturn(time).when(clock).instant();
    }
}
