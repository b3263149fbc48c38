package app.tychon.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.calendar.Instants;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class SimulateTest {
    private static final String GARDEN =
            Path.of("..", "examples", "garden-room.tychon.json").toString();

    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String... arguments) {
        return Tychon.commandLine()
                .setOut(new PrintWriter(out))
                .setErr(new PrintWriter(err))
                .execute(arguments);
    }

    private JsonNode json(String... options) throws IOException {
        Path file = folder.resolve("out.json");
        String[] arguments = Stream.concat(Stream.of("simulate", GARDEN, "--json", file.toString()), Stream.of(options))
                .toArray(String[]::new);
        assertThat(run(arguments)).as(err.toString()).isZero();
        return new ObjectMapper().readTree(file.toFile());
    }

    @Test
    void printsPercentilesWithThePlansOwnChanceAndDrivers() {
        assertThat(run("simulate", GARDEN, "--iterations", "2000", "--seed", "7"))
                .isZero();
        assertThat(out.toString())
                .contains("2,000 iterations, seed 7, latin sampling")
                .contains("The plan finishes 2027-06-01 17:00; its chance is")
                .contains("\nP80 ")
                .contains("What drives the finish")
                .contains("Timber frame, made by the carpenter");
        assertThat(err.toString()).isEmpty();
    }

    @Test
    void simulatesTheProjectsOfAProgrammeTogether() {
        String programme = Path.of("..", "examples", "ridge.programme.json").toString();
        assertThat(run("simulate", programme, "--iterations", "1000")).isZero();
        assertThat(out.toString())
                .contains("Ridge programme: 1,000 iterations")
                .contains("KR:R12")
                .contains("VC:W01");
    }

    @Test
    void writesAllResultsAsJson() throws IOException {
        JsonNode root = json("--iterations", "5000", "--seed", "3");
        assertThat(root.at("/iterations").asInt()).isEqualTo(5000);
        assertThat(root.at("/sampling").asText()).isEqualTo("latin");
        assertThat(root.at("/finish/plan").asText()).isEqualTo("2027-06-01T17:00");
        assertThat(root.at("/finish/percentiles")).hasSize(99);
        assertThat(root.at("/duration/plan").asDouble()).isEqualTo(40);
        assertThat(root.at("/cost/plan").asDouble()).isEqualTo(15_700);
        assertThat(root.at("/activities")).hasSize(6);
        JsonNode frame = root.at("/activities/2");
        assertThat(frame.at("/id").asText()).isEqualTo("G30");
        assertThat(frame.at("/duration/mean").asDouble()).isCloseTo(17, within(0.05));
        assertThat(frame.at("/finish/percentiles").fieldNames())
                .toIterable()
                .containsExactly("5", "10", "50", "80", "90", "95");
        assertThat(json("--percentiles", "all").at("/activities/2/finish/percentiles"))
                .hasSize(99);
        assertThat(root.at("/activities/3/cost/mean").asDouble()).isGreaterThan(4200);
        double shares = 0;
        for (JsonNode driver : root.at("/drivers/finish")) {
            shares += driver.at("/contribution").asDouble();
        }
        assertThat(shares).isBetween(0.9, 1.0 + 1e-9);
        assertThat(root.at("/drivers/cost/0/kind").asText()).isIn("cost", "estimate");
    }

    @Test
    void theSameSeedGivesTheSameNumbersOnAnyNumberOfThreads() throws IOException {
        JsonNode one = json("--seed", "9", "--threads", "1", "--sampling", "plain");
        JsonNode four = json("--seed", "9", "--threads", "4", "--sampling", "plain");
        for (String part : List.of("finish", "duration", "cost", "activities", "drivers")) {
            assertThat(four.get(part)).isEqualTo(one.get(part));
        }
        assertThat(json("--seed", "10").get("finish")).isNotEqualTo(one.get("finish"));
    }

    @Test
    void everyIterationIsARowOfTheSamplesWhoseCostPartsAddUp() throws IOException {
        Path csv = folder.resolve("samples.csv");
        assertThat(run("simulate", GARDEN, "--iterations", "300", "--samples", csv.toString()))
                .isZero();
        List<String> lines = Files.readAllLines(csv);
        assertThat(lines).hasSize(301);
        assertThat(lines.get(0))
                .isEqualTo("iteration,finish,durationMinutes,cost,planned,spread,timeDriven,risk,actions");
        String[] row = lines.get(300).split(",");
        assertThat(row[0]).isEqualTo("300");
        assertThat(Instants.of(LocalDateTime.parse(row[1]))).isGreaterThan(0);
        double parts = 0;
        for (int part = 4; part <= 8; part++) {
            parts += Double.parseDouble(row[part]);
        }
        assertThat(Double.parseDouble(row[3])).isEqualTo(parts);
    }

    @Test
    void badInputEndsWithTwoAndEveryProblemOnALine() throws IOException {
        Path bad = folder.resolve("bad.json");
        Files.writeString(
                bad,
                Files.readString(Path.of(GARDEN))
                        .replace("\"8d\"", "\"8 days\"")
                        .replace("\"G20\",", "\"G10\","));
        assertThat(run("simulate", bad.toString())).isEqualTo(2);
        assertThat(err.toString().lines().toList())
                .contains("/activities/1/id: there is already an activity \"G10\"")
                .anyMatch(line -> line.startsWith("/activities/0/duration: ") && line.endsWith("not \"8 days\""))
                .noneMatch(line -> line.contains("Exception"));
        assertThat(out.toString()).isEmpty();
    }

    @Test
    void nonsenseOnTheCommandLineEndsWithTwoToo() {
        assertThat(run("simulate", GARDEN, "--iterations", "0")).isEqualTo(2);
        assertThat(run("simulate", GARDEN, "--sampling", "fancy")).isEqualTo(2);
        assertThat(run("simulate", folder.resolve("none.json").toString())).isEqualTo(2);
        assertThat(err.toString())
                .contains("iterations must lie between 1 and 1000000, not 0")
                .contains("there is no file");
    }

    @Test
    void everyOptionIsExplained() {
        CommandLine simulate = Tychon.commandLine().getSubcommands().get("simulate");
        assertThat(simulate.getCommandSpec().options())
                .allSatisfy(option -> assertThat(option.description()).isNotEmpty());
    }

    @Test
    void risksCorrelationsAndPathsAreReportedBeforeAndAfterResponses() throws IOException {
        Path out = folder.resolve("demo.json");
        String demo = Path.of("..", "examples", "kestrel-ridge.tychon.json").toString();
        assertThat(run("simulate", demo, "--iterations", "2000", "--seed", "4", "--json", out.toString()))
                .isZero();
        JsonNode current = new ObjectMapper().readTree(out.toFile());
        assertThat(run(
                        "simulate",
                        demo,
                        "--iterations",
                        "2000",
                        "--seed",
                        "4",
                        "--responses",
                        "all",
                        "--json",
                        out.toString()))
                .isZero();
        JsonNode after = new ObjectMapper().readTree(out.toFile());
        assertThat(current.at("/risks")).hasSize(16);
        assertThat(current.at("/risks/1/id").asText()).isEqualTo("R02");
        assertThat(current.at("/risks/1/occurred").asDouble()).isCloseTo(0.3, within(0.002));
        assertThat(after.at("/risks/1/occurred").asDouble()).isCloseTo(0.15, within(0.002));
        assertThat(after.at("/cost/meanByCause/actions").asDouble()).isEqualTo(147_000);
        assertThat(current.at("/cost/meanByCause/actions").asDouble()).isZero();
        assertThat(after.at("/duration/mean").asDouble())
                .isLessThan(current.at("/duration/mean").asDouble());
        assertThat(current.at("/correlations/0/asked/1/0").asDouble()).isEqualTo(0.4);
        assertThat(current.at("/correlations/0/achieved/1/0").asDouble()).isCloseTo(0.4, within(0.07));
        assertThat(current.at("/correlations/1/asked/3")).hasSize(4);
        assertThat(current.at("/paths/0/activities/0").asText()).isEqualTo("S00");
        double parts = 0;
        for (JsonNode part : current.at("/cost/meanByCause")) {
            parts += part.asDouble();
        }
        assertThat(parts).isCloseTo(current.at("/cost/mean").asDouble(), within(1.0));
        assertThat(this.out.toString()).contains("How often each risk struck").contains("occurrence");
    }

    @Test
    void criticalityCanBeTowardsAnActivity() throws IOException {
        JsonNode towards = json("--iterations", "500", "--towards", "G30");
        assertThat(towards.at("/activities/2/criticality").asDouble()).isEqualTo(1);
        assertThat(towards.at("/activities/5/criticality").asDouble()).isZero();
        assertThat(run("simulate", GARDEN, "--towards", "nowhere")).isEqualTo(2);
        assertThat(err.toString()).contains("no milestone or activity \"nowhere\"");
    }

    @Test
    void aMilestoneThatARiskMovesTellsItsDelay() throws IOException {
        ObjectMapper mapper = new ObjectMapper();
        JsonNode plan = mapper.readTree(
                Path.of("..", "examples", "kestrel-ridge.tychon.json").toFile());
        ObjectNode risk = (ObjectNode) plan.at("/risks/0");
        risk.put("probability", 1);
        ((ObjectNode) risk.at("/impacts/0")).putArray("on").add("S90");
        Path file = folder.resolve("moved.tychon.json");
        mapper.writeValue(file.toFile(), plan);
        Path result = folder.resolve("moved.json");
        assertThat(run("simulate", file.toString(), "--iterations", "500", "--json", result.toString()))
                .as(err.toString())
                .isZero();
        for (JsonNode activity : mapper.readTree(result.toFile()).get("activities")) {
            String id = activity.get("id").asText();
            if (id.equals("S00") || id.equals("S10")) {
                assertThat(activity.has("delay")).as(id).isFalse();
            }
            if (id.equals("S90")) {
                assertThat(activity.at("/duration/mean").asDouble()).isZero();
                assertThat(activity.at("/delay/mean").asDouble()).isPositive();
                assertThat(activity.at("/delay/percentiles/90").asDouble())
                        .isGreaterThan(activity.at("/delay/percentiles/10").asDouble());
            }
        }
    }

    @Test
    void scenariosAreComparedWithThePlanInOneCall() throws IOException {
        String demo = GARDEN.replace("garden-room", "kestrel-ridge");
        Path file = folder.resolve("scenarios.json");
        assertThat(run(
                        "simulate",
                        demo,
                        "--iterations",
                        "1000",
                        "--scenario",
                        "Two crews on the road",
                        "--scenario",
                        "V3",
                        "--json",
                        file.toString()))
                .as(err.toString())
                .isZero();
        assertThat(out.toString())
                .contains("Scenarios beside the plan, by the same random numbers; differences are those of P80")
                .contains("\nTwo crews on the road ")
                .contains("\nHearing and test ");
        JsonNode root = new ObjectMapper().readTree(file.toFile());
        assertThat(root.at("/scenarios").findValuesAsText("id")).contains("V4", "V3");
        JsonNode crews = root.at("/scenarios/0");
        assertThat(crews.at("/differences/costsNow").asDouble()).isCloseTo(85_000, within(1.0));
        assertThat(crews.at("/differences/days/change").asDouble()).isNegative();
        assertThat(crews.at("/finish/percentiles/80").asText())
                .isLessThan(root.at("/finish/percentiles/80").asText());
        assertThat(crews.at("/activities").size())
                .isEqualTo(root.at("/activities").size());
        assertThat(crews.at("/misfits")).isEmpty();
        assertThat(run("simulate", demo, "--scenario", "V9", "--scenario", "Dreams"))
                .isEqualTo(2);
        assertThat(err.toString().lines())
                .hasSize(2)
                .first()
                .asString()
                .startsWith("there is no scenario \"V9\"; there are V1 (Early hearing)");
    }
}
