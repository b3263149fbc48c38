package app.tychon.cli;

import app.tychon.brief.Briefs;
import app.tychon.brief.Starter;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Simulated;
import app.tychon.brief.paper.Page;
import app.tychon.brief.paper.PageDocx;
import app.tychon.brief.paper.PagePdf;
import app.tychon.brief.paper.PageWeb;
import app.tychon.brief.workbook.RunWorkbook;
import app.tychon.cli.Complaints.BadInputException;
import app.tychon.core.model.Brief;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Scenario;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.exchange.ProjectFileReader;
import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Sets a brief of a project file as PDF, DOCX or HTML, with the numbers of a simulation made for it. */
@Command(
        name = "brief",
        mixinStandardHelpOptions = true,
        description =
                "Simulates a project file and sets a brief of it as PDF, DOCX or HTML, by the ending of each --out.")
final class BriefCommand implements Callable<Integer> {
    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "PROJECT.tychon.json", description = "the project file")
    private Path file;

    @Option(
            names = "--out",
            paramLabel = "FILE",
            required = true,
            description = "a file ending in .pdf, .docx, .html, or .xlsx for everything as tables; repeatable")
    private List<Path> out = new ArrayList<>();

    @Option(
            names = "--brief",
            paramLabel = "ID",
            description = "id or name of the brief; default: the first of the file")
    private String brief;

    @Option(
            names = "--starter",
            paramLabel = "NAME",
            description = "a starter instead: sponsor, risk_owners, planners, funding_body")
    private Starter starter;

    @Mixin
    private HowMany howMany;

    @Override
    public Integer call() {
        return new Complaints(spec).exitCode(this::make);
    }

    private void make() throws IOException, BadInputException {
        List<String> wrong = out.stream()
                .filter(one -> Form.of(one).isEmpty())
                .map(one -> "--out: a brief can be a .pdf, .docx or .html, its numbers an .xlsx; \"" + one.getFileName()
                        + "\" is none of them")
                .toList();
        if (!wrong.isEmpty()) {
            throw new BadInputException(wrong);
        }
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file));
                Attended attended = Attended.of(howMany.iterations())) {
            RunSettings settings = howMany.settings();
            Plan plan = ProjectFileReader.read(in);
            Brief wanted = wanted(plan);
            Ground ground = Simulated.of(plan, scenario(plan, wanted), settings, attended, LocalDateTime.now());
            Page page = Briefs.page(wanted, ground);
            for (Path one : out) {
                write(Form.of(one).orElseThrow().of(page, ground), one);
                spec.commandLine().getOut().println(one + ": " + page.title());
            }
            spec.commandLine().getOut().flush();
        }
    }

    private Brief wanted(Plan plan) throws BadInputException {
        if (starter != null) {
            return starter.brief("starter", starter.called(), plan.project().name());
        }
        Optional<Brief> found = plan.briefs().stream()
                .filter(one ->
                        brief == null || one.id().equals(brief) || one.name().equals(brief))
                .findFirst();
        if (found.isPresent()) {
            return found.get();
        }
        throw new BadInputException(List.of(
                plan.briefs().isEmpty()
                        ? "the file has no brief; --starter sponsor makes one"
                        : "there is no brief \"" + brief + "\"; there are "
                                + plan.briefs().stream()
                                        .map(one -> one.id() + " (" + one.name() + ")")
                                        .collect(Collectors.joining(", "))));
    }

    private static Optional<Scenario> scenario(Plan plan, Brief brief) throws BadInputException {
        if (brief.scenario().isEmpty()) {
            return Optional.empty();
        }
        String id = brief.scenario().get();
        Optional<Scenario> found =
                plan.scenarios().stream().filter(one -> one.id().equals(id)).findFirst();
        if (found.isEmpty()) {
            throw new BadInputException(
                    List.of("the brief is of the scenario \"" + id + "\", which the file does not have"));
        }
        return found;
    }

    /** Whole or not at all: what was there stays until the new file is complete. */
    private static void write(byte[] bytes, Path to) throws IOException {
        Path beside = to.resolveSibling(to.getFileName() + ".part");
        try {
            Files.write(beside, bytes);
            Files.move(beside, to, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    private enum Form {
        PDF,
        DOCX,
        HTML,
        /** Everything of the simulation, as tables. */
        XLSX;

        static Optional<Form> of(Path file) {
            String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
            for (Form form : values()) {
                if (name.endsWith("." + form.name().toLowerCase(Locale.ROOT))) {
                    return Optional.of(form);
                }
            }
            return Optional.empty();
        }

        byte[] of(Page page, Ground ground) throws IOException {
            return switch (this) {
                case PDF -> PagePdf.of(page);
                case DOCX -> PageDocx.of(page);
                case HTML -> PageWeb.of(page).getBytes(StandardCharsets.UTF_8);
                case XLSX -> {
                    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                    RunWorkbook.write(ground, bytes);
                    yield bytes.toByteArray();
                }
            };
        }
    }
}
