package app.tychon.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class BriefTest {
    private static final String KESTREL = "../examples/kestrel-ridge.tychon.json";

    @TempDir
    private Path folder;

    private final StringWriter errors = new StringWriter();

    private int run(String... more) {
        String[] all = new String[more.length + 4];
        System.arraycopy(new String[] {"brief", KESTREL, "--iterations", "500"}, 0, all, 0, 4);
        System.arraycopy(more, 0, all, 4, more.length);
        CommandLine line = Tychon.commandLine();
        line.setErr(new PrintWriter(errors));
        line.setOut(new PrintWriter(new StringWriter()));
        return line.execute(all);
    }

    @Test
    void aBriefOfAFileIsSetInEveryFormWithoutAServer() throws IOException {
        Path pdf = folder.resolve("brief.pdf");
        Path html = folder.resolve("brief.html");
        Path docx = folder.resolve("brief.docx");
        Path xlsx = folder.resolve("brief.xlsx");
        assertThat(run(
                        "--out",
                        pdf.toString(),
                        "--out",
                        html.toString(),
                        "--out",
                        docx.toString(),
                        "--out",
                        xlsx.toString()))
                .as(errors.toString())
                .isZero();
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Kestrel Ridge: the date and the budget")
                    .contains("Confidential: for the observatory board");
        }
        assertThat(html).content().contains("<h2>What to decide</h2>");
        assertThat(docx).isNotEmptyFile();
        assertThat(xlsx).isNotEmptyFile();
        try (var files = Files.list(folder)) {
            assertThat(files).hasSize(4);
        }
    }

    @Test
    void aStarterNeedsNoBriefInTheFile() throws IOException {
        Path html = folder.resolve("owners.html");
        assertThat(run("--starter", "risk_owners", "--out", html.toString())).isZero();
        assertThat(html).content().contains("your risks and what is to be done");
    }

    @Test
    void whatCannotBeIsSaidAndNothingIsWritten() throws IOException {
        assertThat(run("--out", folder.resolve("brief.odt").toString())).isEqualTo(2);
        assertThat(errors.toString()).contains("a brief can be a .pdf, .docx or .html");
        assertThat(run("--brief", "Nobody's", "--out", folder.resolve("b.pdf").toString()))
                .isEqualTo(2);
        assertThat(errors.toString()).contains("there is no brief \"Nobody's\"; there are B1 (For the sponsor)");
        assertThat(run("--out", folder.resolve("none").resolve("b.pdf").toString()))
                .isEqualTo(2);
        try (var files = Files.list(folder)) {
            assertThat(files).isEmpty();
        }
    }
}
