package app.tychon.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.WholePlan;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Section;
import app.tychon.core.model.Sections;
import app.tychon.core.model.Shape;
import app.tychon.core.schedule.Network;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ProjectFileTest {
    private static final Path EXAMPLES = Path.of("..", "examples");

    private static Plan read(String json) throws IOException {
        return ProjectFileReader.read(new ByteArrayInputStream(json.getBytes(StandardCharsets.UTF_8)));
    }

    private static List<String> problems(String json) {
        InvalidPlanException e = catchThrowableOfType(InvalidPlanException.class, () -> read(json));
        assertThat(e).as("refused").isNotNull();
        return e.problems().stream().map(Problem::toString).toList();
    }

    private static byte[] write(Plan plan) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ProjectFileWriter.write(plan, out);
        return out.toByteArray();
    }

    private static JsonSchema schema() throws IOException {
        try (InputStream in = ProjectFileReader.class.getResourceAsStream("tychon-project.schema.json")) {
            return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                    .getSchema(in);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"kestrel-ridge.tychon.json", "garden-room.tychon.json"})
    void examplesAreSoundAndFollowThePublishedSchema(String file) throws IOException {
        Path example = EXAMPLES.resolve(file);
        assertThat(schema().validate(new ObjectMapper().readTree(example.toFile())))
                .isEmpty();
        try (InputStream in = Files.newInputStream(example)) {
            Network.of(ProjectFileReader.read(in));
        }
    }

    @Test
    void theDemoIsAPlanOfAboutSixtyActivitiesWithUnevenRanges() throws IOException {
        try (InputStream in = Files.newInputStream(EXAMPLES.resolve("kestrel-ridge.tychon.json"))) {
            Plan plan = ProjectFileReader.read(in);
            assertThat(plan.activities()).hasSizeBetween(55, 65);
            assertThat(plan.activities().stream()
                            .flatMap(a -> a.estimate().stream())
                            .map(e -> e.shape().getClass())
                            .distinct())
                    .hasSize(3);
        }
    }

    @Test
    void whatIsWrittenIsReadBackTheSame() throws IOException {
        for (int seed = 0; seed < 20; seed++) {
            Plan plan = RandomPlans.risky(seed, 20);
            byte[] file = write(plan);
            assertThat(ProjectFileReader.read(new ByteArrayInputStream(file))).isEqualTo(plan);
            assertThat(schema().validate(new ObjectMapper().readTree(file))).isEmpty();
        }
    }

    @Test
    void aLevelOfConfidenceSurvivesAndNonsenseIsRefused() throws IOException {
        String sound = HEAD.replace("\"currency\"", "\"targets\":{\"confidence\":90},\"currency\"");
        Plan plan = read(sound + "\"activities\":[]}");
        assertThat(plan.project().targets().confidence()).isEqualTo(90);
        assertThat(ProjectFileReader.read(new ByteArrayInputStream(write(plan))).project())
                .isEqualTo(plan.project());
        for (String level : List.of("0", "100", "80.5", "\"high\"")) {
            assertThat(problems(sound.replace("90", level) + "\"activities\":[]}"))
                    .singleElement()
                    .asString()
                    .startsWith("/project/targets/confidence");
        }
    }

    @Test
    void constraintsWeightsAndCertainValuesSurviveToo() throws IOException {
        Plan plan = new PlanBuilder()
                .task("A", 2.5, new Shape.Pert(1, 2.25, 9, 7))
                .constraint(new Constraint(ConstraintType.FINISH_NO_LATER, PlanBuilder.START.plusDays(9)))
                .task("B", 1, new Shape.Fixed(1.75))
                .build();
        assertThat(ProjectFileReader.read(new ByteArrayInputStream(write(plan))))
                .isEqualTo(plan);
    }

    @Test
    void gradesCorrelationsResourcesAndRecurrenceSurvive() throws IOException {
        Plan plan = WholePlan.plan();
        byte[] file = write(plan);
        assertThat(ProjectFileReader.read(new ByteArrayInputStream(file))).isEqualTo(plan);
        assertThat(schema().validate(new ObjectMapper().readTree(file))).isEmpty();
    }

    @Test
    void everyShapeSurvives() throws IOException {
        Shape.Ends tens = new Shape.Ends(0.1, 0.9);
        List<Shape> shapes = List.of(
                new Shape.Triangular(1, 2, 4, tens),
                new Shape.Pert(1, 2, 4, 6, tens),
                new Shape.Normal(5, 1),
                new Shape.Lognormal(5, 1.5),
                new Shape.Beta(2, 3, 1, 9),
                new Shape.Gamma(2, 3),
                new Shape.Exponential(4),
                new Shape.Weibull(1.5, 6),
                new Shape.Discrete(List.of(new Shape.Point(2, 0.25), new Shape.Point(6, 0.75))),
                new Shape.Cumulative(List.of(new Shape.Point(2, 0), new Shape.Point(5, 0.6), new Shape.Point(9, 1))),
                new Shape.Sample(List.of(3.0, 4.5, 4.5)),
                new Shape.Truncated(new Shape.Normal(5, 2), OptionalDouble.of(1), OptionalDouble.of(9)));
        PlanBuilder builder = new PlanBuilder();
        for (int i = 0; i < shapes.size(); i++) {
            builder.task("A" + i, 5, shapes.get(i));
        }
        byte[] file = write(builder.build());
        assertThat(ProjectFileReader.read(new ByteArrayInputStream(file))).isEqualTo(builder.build());
        assertThat(schema().validate(new ObjectMapper().readTree(file))).isEmpty();
    }

    @Test
    void impossibleParametersOfAShapeAreRefusedByName() {
        String activity = HEAD
                + "\"activities\":[{\"id\":\"A\",\"wbs\":\"W\",\"name\":\"a\",\"duration\":\"3d\",\"estimate\":%s}]}";
        assertThat(problems(activity.formatted("{\"shape\":\"normal\",\"mean\":-2,\"sd\":0}")))
                .containsExactly(
                        "/activities/0/estimate/sd: must be above 0; this is 0",
                        "/activities/0/estimate/mean: the mean of a duration must be above zero; this is -2");
        assertThat(problems(activity.formatted("{\"shape\":\"discrete\",\"values\":[[1,0.5],[2,0.2]]}")))
                .containsExactly(
                        "/activities/0/estimate/values: the probabilities must add up to 1; they add up to 0.7");
        assertThat(problems(activity.formatted("{\"shape\":\"cumulative\",\"points\":[[1,0],[1,0.5],[3,1]]}")))
                .containsExactly(
                        "/activities/0/estimate/points/1: values and chances must rise; 1 at 0.5 follows 1 at 0");
        assertThat(problems(activity.formatted(
                        "{\"shape\":\"pert\",\"low\":2,\"likely\":2,\"high\":4,\"lowAt\":0.6,\"min\":9}")))
                .containsExactly(
                        "/activities/0/estimate/lowAt: the chance of the low point lies from 0 to below 0.5; this is 0.6",
                        "/activities/0/estimate/likely: where the outer points are percentiles, the likely value must lie between them",
                        "/activities/0/estimate/min: nothing is left between 9 and 4");
        assertThat(problems(activity.formatted("{\"shape\":\"sample\",\"values\":[-3,2]}")))
                .containsExactly("/activities/0/estimate/values: a duration cannot be below zero; this is -3");
    }

    private static final String HEAD =
            """
            {"format":"tychon-project","version":1,
             "project":{"id":"p","name":"P","currency":"EUR","start":"2027-03-01T08:00","calendar":"std"},
             "calendars":[{"id":"std","name":"Week","hoursPerDay":8,"week":{"mon":[["08:00","17:00"]]}}],
             "wbs":[{"id":"W","name":"All"}],
            """;

    @Test
    void leavesOutWhatHasAUsualValue() throws IOException {
        Plan plan = read(HEAD
                + "\"activities\":[{\"id\":\"A\",\"wbs\":\"W\",\"name\":\"a\",\"duration\":\"3d\"}],"
                + "\"links\":[],\"costs\":[{\"id\":\"C\",\"name\":\"c\",\"on\":\"A\",\"amount\":5}]}");
        assertThat(plan.activities().get(0).calendar()).isEqualTo("std");
        assertThat(plan.costs().get(0).fixedShare()).isEqualTo(1);
    }

    @Test
    void everyProblemIsReportedWithItsPointerAndValue() {
        assertThat(
                        problems(
                                HEAD
                                        + """
                        "activities":[
                          {"id":"A","wbs":"W","name":"","duration":"soon","colour":"red"},
                          {"id":"B","wbs":"W","name":"b","duration":"3d","kind":"chore",
                           "estimate":{"shape":"triangular","low":"two","likely":3,"high":2}},
                          {"id":"C","wbs":7,"name":"c","duration":"2d","actualStart":"2027-03-02T08:00",
                           "estimate":{"shape":"banana"}}],
                        "links":[{"from":"A","to":"Q","type":"XX","lag":"0d"}],
                        "risks":[{"id":"K1"}]}"""))
                .containsExactlyInAnyOrder(
                        "/activities/0/colour: there is no such field",
                        "/activities/0/duration: must be a number with a unit (min, h, d, w or ed) such as 12d, not \"soon\"",
                        "/activities/1/kind: must be one of task, milestone, hammock, not \"chore\"",
                        "/activities/1/estimate/low: must be a number, not \"two\"",
                        "/activities/2/wbs: must be text, not 7",
                        "/activities/2/actualStart: there is progress, but the project has no data date",
                        "/activities/2/estimate/shape: must be one of fixed, uniform, triangular, pert, normal, lognormal, beta, gamma, exponential, weibull, discrete, cumulative, sample, not \"banana\"",
                        "/links/0/type: must be one of FS, SS, FF, SF, not \"XX\"",
                        "/risks/0/title: is missing",
                        "/risks/0/probability: is missing",
                        "/activities/0/name: the name is empty",
                        "/activities/1/estimate/likely: likely 3 is above high 2",
                        "/links/0/to: there is no activity \"Q\"");
    }

    @Test
    void whatIsNoProjectFileIsRefusedInOneSentence() {
        assertThat(problems("")).singleElement().asString().contains("not a Tychon project file");
        assertThat(problems("[1,2]")).singleElement().asString().contains("not a Tychon project file");
        assertThat(problems("{\"format\":\"tychon-project\",\"version\":9}"))
                .containsExactly("/version: this version reads project files of version 1, not 9");
        assertThat(problems("{\"format\":")).singleElement().asString().contains("not sound JSON");
        assertThat(problems("{\"a\":1,\"a\":2}")).singleElement().asString().contains("not sound JSON");
        assertThat(problems(HEAD.replace("\"id\":\"p\"", "\"id\":\"p\"}")))
                .singleElement()
                .asString()
                .contains("line 2");
    }

    /** Each is refused within memory that could not hold its parts one by one. */
    @Test
    void fiftyMegabytesOfGarbageAreRefused() {
        int size = 50_000_000;
        assertThat(problems("x".repeat(size))).hasSize(1);
        assertThat(problems("[" + "1,".repeat(size / 2)))
                .singleElement()
                .asString()
                .contains("not a Tychon");
        assertThat(problems("{\"a\":[" + "1,".repeat(size / 2) + "1]}")).hasSize(1);
        assertThat(problems(HEAD + "\"activities\":[" + "1,".repeat(size / 2) + "1]}"))
                .hasSize(1001)
                .last()
                .asString()
                .contains("more problems than these");
        assertThat(problems(HEAD + "\"activities\":[" + "{\"id\":".repeat(size / 6)))
                .singleElement()
                .asString()
                .contains("not sound JSON");
    }

    @Test
    void deeplyNestedNonsenseIsRefused() {
        assertThat(problems("{\"risks\":" + "[".repeat(200_000)))
                .singleElement()
                .asString()
                .contains("not sound JSON");
    }

    @Test
    void everySectionOfAPlanIsInTheSchemaAndInTheList() throws IOException {
        JsonNode schema;
        try (InputStream in = ProjectFileReader.class.getResourceAsStream("tychon-project.schema.json")) {
            schema = new ObjectMapper().readTree(in);
        }
        List<String> described = new ArrayList<>();
        schema.path("properties").fieldNames().forEachRemaining(described::add);
        List<String> sections = Sections.ALL.stream().map(Section::name).toList();
        assertThat(described).containsAll(sections).hasSize(sections.size() + 2).contains("format", "version");
        assertThat(SectionJson.ALL).extracting(SectionJson::section).isEqualTo(Sections.ALL);
    }
}
