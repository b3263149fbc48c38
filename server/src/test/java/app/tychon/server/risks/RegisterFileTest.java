package app.tychon.server.risks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.patch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.server.edits.EditedPlanTest;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockMultipartFile;

class RegisterFileTest extends EditedPlanTest {
    private static final String TWO_BAD_ROWS =
            """
            Risk ID;Description;Probability;Effect on time;Owner;Status
            R06;Customs hold the detector;35 %;4..8..25d on C20;Logistics lead;open
            X1;Fog on the ridge;130 %;2..4..9d on E90;Site manager;open
            X2;Helpers fall ill;10 %;3..6d on Z99;Site manager;perhaps
            """;

    @ParameterizedTest
    @ValueSource(strings = {"risks.csv", "risks.xlsx"})
    void whatIsTakenOutComesInAgainUnchanged(String name) throws Exception {
        Plan before = plan();
        byte[] file = download(at("/" + name));
        JsonNode preview = send(at("/risks/file/preview"), file);
        assertThat(preview.get("problems")).isEmpty();
        assertThat(preview.get("rows"))
                .hasSize(16)
                .allMatch(row -> row.get("what").asText().equals("same"));
        String all =
                before.risks().stream().map(risk -> "\"" + risk.id() + "\"").collect(Collectors.joining(","));
        accepted(post(at("/risks/remove")), "{\"risks\":[" + all + "]}");
        assertThat(plan().risks()).isEmpty();
        send(at("/risks/file"), file);
        assertThat(plan().risks()).isEqualTo(before.risks());
    }

    @ParameterizedTest
    @ValueSource(strings = {"risks.csv", "risks.xlsx"})
    void oddTextsAndShapesComeInAgainUnchanged(String name) throws Exception {
        accepted(
                patch(at("/risks")),
                """
                [{"id": "X1", "add": true, "title": "=cmd|'x'!A1", "cause": "+1, \\"quoted\\"; and a \\u20ac", "owner": "@night shift",
                  "chance": "1 in 3", "time": "2..4..9d on E90, I10 each; 10..40% on S20", "money": "-20000..-5000 on K22",
                  "kind": "opportunity", "category": "Site/Weather, bad", "notes": "First line\\nsecond; line, with \\"marks\\""},
                 {"id": "x-2", "add": true, "title": "'=quoted already", "chance": "0.05 %", "state": "closed",
                  "closedBecause": "-", "from": "2027-05-01", "to": "2027-09-30"}]
                """);
        Plan before = plan();
        byte[] file = download(at("/" + name));
        accepted(post(at("/risks/remove")), "{\"risks\":[\"X1\",\"x-2\"]}");
        assertThat(plan().risks()).hasSize(16);
        send(at("/risks/file"), file);
        assertThat(plan().risks()).isEqualTo(before.risks());
    }

    @Test
    void notesLongerThanACellAreToldAndGoOutAsText() throws Exception {
        accepted(patch(at("/risks")), "[{\"id\":\"R01\",\"notes\":\"" + "x".repeat(40_000) + "\"}]");
        http.perform(get(at("/risks.xlsx")))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.detail").value(containsString("Row 2, Notes")));
        assertThat(send(at("/risks/file/preview"), download(at("/" + "risks.csv")))
                        .get("problems"))
                .isEmpty();
    }

    @Test
    void badCellsAreToldWhereTheyStandAndCanBeTypedAnew() throws Exception {
        byte[] file = TWO_BAD_ROWS.getBytes(StandardCharsets.UTF_8);
        JsonNode preview = send(at("/risks/file/preview"), file);
        assertThat(preview.get("problems"))
                .extracting(p -> p.get("row").asInt() + " " + p.get("header").asText())
                .containsExactlyInAnyOrder("3 Chance", "4 Effect on time", "4 State");
        Plan before = plan();
        http.perform(multipart(at("/risks/file"))
                        .file(new MockMultipartFile("file", "risks", "text/csv", file))
                        .header("Tychon-Person", "ann"))
                .andExpect(status().isUnprocessableEntity());
        assertThat(plan()).isEqualTo(before);

        String mended = "3:2:13 %\n4:3:3..6d on E94\n4:5:proposed";
        JsonNode sound = send(at("/risks/file/preview"), file, "mended", mended);
        assertThat(sound.get("problems")).isEmpty();
        assertThat(sound.get("rows"))
                .extracting(row -> row.get("what").asText())
                .containsExactly("changed", "new", "new");
        assertThat(sound.at("/rows/0/fields/0/after").asText()).isEqualTo("35 %");
        assertThat(sound.get("gone")).hasSize(15);
        send(at("/risks/file"), file, "mended", mended);
        Plan after = plan();
        assertThat(after.risks()).hasSize(18);
        assertThat(after.risks().get(17).state()).isEqualTo(Risk.State.PROPOSED);
        accepted(post(at("/undo")), "");
        assertThat(plan()).isEqualTo(before);
    }

    @Test
    void columnsWithoutHeadersAreKnownByWhatStandsInThemAndSharesAreChances() throws Exception {
        JsonNode preview = send(
                at("/risks/file/preview"),
                "Nr;What;Where;Risk;Likelihood\nX1;10..20d on S20;;A landslide closes the road;0.3\nX2;5d on S30;;Papers get lost;0.05"
                        .getBytes(StandardCharsets.UTF_8));
        assertThat(preview.get("problems")).isEmpty();
        assertThat(preview.get("columns"))
                .extracting(
                        c -> c.get("header").asText() + "=" + c.get("meaning").asText())
                .contains("Nr=Code", "What=Effect on time");
        send(
                at("/risks/file"),
                "Risk;Likelihood\nA landslide closes the road;0.3\nPapers get lost;0.05"
                        .getBytes(StandardCharsets.UTF_8),
                "removeGone",
                "true");
        assertThat(plan().risks()).extracting(Risk::probability).containsExactly(0.3, 0.05);
        assertThat(plan().risks()).extracting(Risk::id).containsExactly("R17", "R18");
    }
}
