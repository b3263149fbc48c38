package app.tychon.server.briefs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.RunningTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Briefs of the demo, written, brought up to date, issued and read. */
class BriefsTest extends RunningTest {
    private static final String SETTINGS = "{\"iterations\":500,\"seed\":7}";

    private String project;

    @BeforeEach
    void bringInTheDemo() throws Exception {
        project = bringIn("kestrel-ridge");
    }

    private String at(String path) {
        return "/api/projects/" + project + path;
    }

    private MockHttpServletResponse sent(MockHttpServletRequestBuilder request, String body, int status)
            throws Exception {
        return http.perform(request.contentType(MediaType.APPLICATION_JSON).content(body))
                .andExpect(status().is(status))
                .andReturn()
                .getResponse();
    }

    private JsonNode edited(String body) throws Exception {
        return json.readTree(sent(patch(at("/briefs")), body, 200).getContentAsString());
    }

    private String refused(String body, int status) throws Exception {
        return sent(patch(at("/briefs")), body, status).getContentAsString(StandardCharsets.UTF_8);
    }

    private String record() throws Exception {
        String run = begin(project, SETTINGS);
        ended(run);
        return run;
    }

    /** A brief once every block of it is told. */
    private JsonNode told(String brief) {
        return await().atMost(PATIENCE)
                .until(
                        () -> read(at("/briefs/" + brief)),
                        view -> view.findValues("told").size()
                                == view.get("blocks").size());
    }

    private static JsonNode block(JsonNode brief, String id) {
        for (JsonNode block : brief.get("blocks")) {
            if (block.get("id").asText().equals(id)) {
                return block;
            }
        }
        throw new AssertionError("there is no block " + id);
    }

    private static String line(JsonNode brief, String block, int line) {
        StringBuilder text = new StringBuilder();
        block(brief, block)
                .at("/told/lines/" + line + "/pieces")
                .forEach(piece -> text.append(piece.get("text").asText()));
        return text.toString();
    }

    private byte[] file(String path) throws Exception {
        return http.perform(get(path))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void withoutARunABriefSaysSo() throws Exception {
        JsonNode brief = read(at("/briefs/B1"));
        assertThat(brief.get("fault").asText()).contains("No run is on record");
        assertThat(brief.has("run")).isFalse();
        sent(get(at("/briefs/B1/file.pdf")), "", 409);
    }

    @Test
    void aStarterMakesABriefThatTellsTheNumbersOfTheLatestRun() throws Exception {
        record();
        edited("[{\"id\":\"\",\"add\":true,\"starter\":\"FUNDING_BODY\"}]");
        JsonNode row = read(at("/briefs")).get(2);
        assertThat(row.get("name").asText()).isEqualTo("For the funding body");
        JsonNode brief = told(row.get("id").asText());
        JsonNode odds = read("/api/runs/" + brief.at("/run/id").asText() + "/dates/at-chance?chance=80");
        String day = odds.get("value").asText();
        assertThat(line(brief, "b1", 1))
                .contains(String.valueOf(Integer.parseInt(day.substring(8, 10))))
                .contains(day.substring(0, 4));
        assertThat(block(brief, "b5").at("/told/drawing/marks").size()).isGreaterThan(20);
        assertThat(block(brief, "b3").at("/told/table/rows").size()).isEqualTo(8);
    }

    @Test
    void wordsThatWereTypedStayWithTheirNumbersAndAreMarkedWhenThoseChange() throws Exception {
        record();
        edited(
                "[{\"id\":\"B1\",\"run\":1,\"blocks\":[{\"id\":\"answer\",\"words\":[\"We promise {sure.finish}.\"],\"seen\":"
                        + "{\"sure.finish\":\"" + sure() + "\"}}]}]");
        assertThat(line(told("B1"), "answer", 0)).isEqualTo("We promise " + sure() + ".");
        sent(patch(at("/rows")), "[{\"id\":\"I20\",\"duration\":\"90d\"}]", 200);
        record();
        String before = sure();
        JsonNode update = await().atMost(PATIENCE)
                .until(() -> read(at("/briefs/B1/update?run=2")), view -> view.get("complete")
                        .asBoolean());
        assertThat(update.at("/lines/0/was").asText()).isEqualTo("We promise " + before + ".");
        assertThat(update.at("/lines/0/now").asText()).isNotEqualTo("We promise " + before + ".");
        assertThat(update.at("/lines/0/byHand").asBoolean()).isTrue();
        // Nothing has changed by asking.
        assertThat(line(told("B1"), "answer", 0)).isEqualTo("We promise " + before + ".");

        edited("[{\"id\":\"B1\",\"run\":2}]");
        JsonNode changed = block(told("B1"), "answer").at("/told/lines/0/changed/0");
        assertThat(changed.get("was").asText()).isEqualTo(before);
        assertThat(changed.get("now").asText()).isEqualTo(sure());
    }

    private String sure() {
        JsonNode brief = told("B1");
        for (JsonNode block : brief.get("blocks")) {
            for (JsonNode line : block.at("/told/lines")) {
                for (JsonNode piece : line.get("pieces")) {
                    if (piece.get("field").asText().equals("sure.finish")) {
                        return piece.get("text").asText();
                    }
                }
            }
        }
        throw new AssertionError("no block tells the sure finish");
    }

    @Test
    void twoWhoTypeInOneBlockDoNotOverwriteEachOther() throws Exception {
        edited("[{\"id\":\"B1\",\"blocks\":[{\"id\":\"sure\",\"words\":[\"Mine.\"],\"was\":null}]}]");
        assertThat(refused("[{\"id\":\"B1\",\"blocks\":[{\"id\":\"sure\",\"words\":[\"Yours.\"],\"was\":null}]}]", 409))
                .contains("Somebody else has changed the words");
        edited("[{\"id\":\"B1\",\"blocks\":[{\"id\":\"reasons\",\"words\":[\"Elsewhere.\"],\"was\":null}]}]");
        JsonNode brief = read(at("/briefs/B1"));
        assertThat(block(brief, "sure").at("/words/0").asText()).isEqualTo("Mine.");
        assertThat(block(brief, "reasons").at("/words/0").asText()).isEqualTo("Elsewhere.");
    }

    @Test
    void whatCannotBeIsRefusedFieldByField() throws Exception {
        String problems = refused(
                "[{\"id\":\"B1\",\"locale\":\"??\",\"blocks\":[{\"id\":\"sure\",\"level\":120,\"rows\":0},"
                        + "{\"id\":\"new\",\"add\":true,\"kind\":\"gossip\"}]}]",
                422);
        assertThat(problems).contains("must be one of answer, howSure");
        problems = refused(
                "[{\"id\":\"B1\",\"locale\":\"??\",\"name\":\"\",\"blocks\":[{\"id\":\"sure\",\"level\":120,\"rows\":0}]}]",
                422);
        assertThat(problems)
                .contains("/0/locale")
                .contains("/0/name")
                .contains("a level lies between 1 and 99")
                .contains("this is 0");
        assertThat(refused("[{\"id\":\"B9\",\"title\":\"x\"}]", 422)).contains("there is no brief");
    }

    @Test
    void blocksAreMovedTakenOutAndBroughtBack() throws Exception {
        edited("[{\"id\":\"B1\",\"without\":[\"money\"],\"order\":[\"decide\",\"answer\"],"
                + "\"blocks\":[{\"id\":\"own\",\"add\":true,\"kind\":\"text\",\"after\":\"decide\"}]}]");
        assertThat(read(at("/briefs/B1")).findValuesAsText("id"))
                .containsSubsequence("decide", "answer")
                .doesNotContain("money")
                .contains("own");
        sent(post(at("/undo")), "", 200);
        assertThat(read(at("/briefs/B1")).get("blocks").findValuesAsText("id"))
                .startsWith("answer", "sure")
                .contains("money");
    }

    @Test
    void aRunThatIsGoneAndAScenarioThatIsGoneAreSaidToBeGone() throws Exception {
        String first = record();
        record();
        edited("[{\"id\":\"B1\",\"run\":1,\"scenario\":\"V3\"}]");
        JsonNode brief = told("B1");
        assertThat(brief.get("under").asText()).contains("Hearing and test").contains("run 1");
        http.perform(delete("/api/runs/" + first)).andExpect(status().isNoContent());
        assertThat(read(at("/briefs/B1")).get("fault").asText())
                .contains("Run 1 is no longer on record")
                .contains("run 2");
        edited("[{\"id\":\"B1\",\"run\":2,\"scenario\":\"V99\"}]");
        assertThat(read(at("/briefs/B1")).get("fault").asText()).contains("no scenario “V99”");
    }

    @Test
    void whatWasIssuedStaysAndIsReadUntilTheLinkIsWithdrawn() throws Exception {
        String run = record();
        String sure = sure();
        JsonNode issue =
                json.readTree(sent(post(at("/briefs/B1/issue")), "", 201).getContentAsString(StandardCharsets.UTF_8));
        String id = issue.get("id").asText();
        byte[] pdf = file(at("/issues/" + id + "/file.pdf"));
        assertThat(text(pdf)).contains("Kestrel Ridge: the date and the budget").contains(sure);

        sent(patch(at("/rows")), "[{\"id\":\"I20\",\"duration\":\"90d\"}]", 200);
        record();
        edited("[{\"id\":\"B1\",\"title\":\"Another title\"}]");
        assertThat(sure()).isNotEqualTo(sure);
        assertThat(file(at("/issues/" + id + "/file.pdf"))).isEqualTo(pdf);
        assertThat(read(at("/issues/" + id)).get("title").asText()).isEqualTo("Kestrel Ridge: the date and the budget");

        // The run that it rests on stays.
        String why = http.perform(delete("/api/runs/" + run))
                .andExpect(status().isConflict())
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        assertThat(why).contains("was issued with the numbers of this run");

        JsonNode link = json.readTree(
                sent(post(at("/issues/" + id + "/links")), "", 201).getContentAsString());
        String path = link.get("path").asText();
        MockHttpServletResponse page =
                http.perform(get(path)).andExpect(status().isOk()).andReturn().getResponse();
        assertThat(page.getContentAsString(StandardCharsets.UTF_8))
                .contains(sure)
                .contains("<svg ");
        assertThat(page.getHeader("Cache-Control")).contains("no-store");
        assertThat(read(at("/issues")).at("/0/links/0").has("path")).isFalse();

        http.perform(delete(at("/issues/" + id + "/links/" + link.get("id").asText())))
                .andExpect(status().isNoContent());
        assertThat(http.perform(get(path))
                        .andExpect(status().isNotFound())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(StandardCharsets.UTF_8))
                .contains("can no longer be read here")
                .doesNotContain(sure);
        http.perform(delete(at("/issues/" + id + "/links/" + link.get("id").asText())))
                .andExpect(status().isNotFound());
    }

    @Test
    void aBriefAndItsPartsAreTakenOut() throws Exception {
        record();
        try (XWPFDocument document = new XWPFDocument(new ByteArrayInputStream(file(at("/briefs/B1/file.docx"))))) {
            assertThat(document.getTables()).isNotEmpty();
        }
        assertThat(new String(file(at("/briefs/B1/blocks/reasons/drawing.svg")), StandardCharsets.UTF_8))
                .startsWith("<?xml")
                .contains("working days");
        assertThat(file(at("/briefs/B1/blocks/sure/drawing.png"))).startsWith(0x89, 'P', 'N', 'G');
        assertThat(new String(file(at("/briefs/B1/blocks/options/table.csv")), StandardCharsets.UTF_8))
                .contains("Early hearing");
        assertThat(file(at("/briefs/B1/blocks/options/table.xlsx"))).startsWith('P', 'K');
        sent(get(at("/briefs/B1/blocks/answer/drawing.svg")), "", 409);
        sent(get(at("/briefs/B1/blocks/none/table.csv")), "", 404);
        JsonNode fields = read(at("/briefs/B1/blocks/answer/fields"));
        assertThat(fields.findValuesAsText("key")).contains("sure.finish", "option.now", "both.often");
    }

    @Test
    void everythingOfARunIsTakenOutAsTablesOrNot() throws Exception {
        sent(get(at("/exports/workbook.xlsx")), "", 409);
        record();
        for (JsonNode row : read(at("/exports"))) {
            assertThat(file(at("/exports/" + row.get("part").asText() + ".csv?run=1")))
                    .as(row.get("title").asText())
                    .isNotEmpty();
        }
        assertThat(new String(file(at("/exports/percentiles.csv")), StandardCharsets.UTF_8))
                .contains("Finish by")
                .contains("2028-");
        assertThat(file(at("/exports/workbook.xlsx"))).startsWith('P', 'K');
        assertThat(sent(get(at("/exports/gossip.csv")), "", 404).getContentAsString(StandardCharsets.UTF_8))
                .contains("there are plan, ranges");
        assertThat(sent(get(at("/exports/plan.csv?run=9")), "", 404).getContentAsString(StandardCharsets.UTF_8))
                .contains("Run 9 is no longer on record");
        sent(get("/api/projects/" + UUID.randomUUID() + "/exports"), "", 404);
    }

    @Test
    void scenariosAreReadOffBesideTheBrief() throws Exception {
        record();
        JsonNode curves = read(at("/briefs/B1/curves"));
        assertThat(curves.findValuesAsText("id")).containsExactly("V1", "V2", "V3", "V4", "V5");
        assertThat(curves.get(0).get("finish").size()).isEqualTo(201);
        assertThat(curves.get(4).get("finish").get(160).asDouble())
                .isLessThan(curves.get(0).get("finish").get(160).asDouble());
    }
}
