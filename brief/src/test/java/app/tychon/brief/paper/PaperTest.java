package app.tychon.brief.paper;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.brief.Briefs;
import app.tychon.brief.Examples;
import app.tychon.brief.Starter;
import app.tychon.brief.blocks.Told;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.BriefBlock.Kind;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.text.Normalizer;
import java.text.Normalizer.Form;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.StreamSupport;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.apache.poi.xwpf.usermodel.XWPFParagraph;
import org.junit.jupiter.api.Test;

/** What is set on paper is read back as its readers' programs do. */
class PaperTest {
    private static Page page(Brief brief) {
        return Briefs.page(brief, Examples.kestrel());
    }

    private static Brief sponsor() {
        return Starter.SPONSOR
                .brief("b", "For the sponsor", "Kestrel Ridge")
                .withConfidential("Confidential: for the board alone");
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            // Lines are broken wherever they were; the face has one letter for my and micro.
            return Normalizer.normalize(new PDFTextStripper().getText(document), Form.NFKC)
                    .replaceAll("\\s+", " ");
        }
    }

    @Test
    void everyWordOfABriefCanBeSelectedInItsPdf() throws IOException {
        Page page = page(sponsor());
        String text = text(PagePdf.of(page));
        assertThat(text)
                .contains("Kestrel Ridge: the date and the budget")
                .contains("Confidential: for the board alone");
        for (Told block : page.blocks()) {
            assertThat(text).contains(block.heading());
            block.lines().forEach(line -> assertThat(text)
                    .contains(Normalizer.normalize(line.text(), Form.NFKC).replaceAll("\\s+", " ")));
            block.grid().ifPresent(grid -> grid.rows()
                    .forEach(row -> assertThat(text).contains(row.get(0))));
        }
        // Words in drawings are words of the page.
        assertThat(text).contains("A winter that closes the road");
    }

    @Test
    void aPdfIsMadeForThoseWhoDoNotSeeIt() throws IOException {
        try (PDDocument document = Loader.loadPDF(PagePdf.of(page(sponsor())))) {
            assertThat(document.getDocumentInformation().getTitle())
                    .isEqualTo("Kestrel Ridge: the date and the budget");
            assertThat(document.getDocumentCatalog().getLanguage()).isEqualTo("en-GB");
            assertThat(document.getDocumentCatalog().getStructureTreeRoot()).isNotNull();
            List<String> bookmarks = new ArrayList<>();
            for (PDOutlineItem item :
                    document.getDocumentCatalog().getDocumentOutline().children()) {
                bookmarks.add(item.getTitle());
            }
            assertThat(bookmarks)
                    .startsWith("The answer", "How sure: date and budget")
                    .hasSize(8);
            for (PDPage sheet : document.getPages()) {
                // Drawings are vectors.
                assertThat(StreamSupport.stream(
                                        sheet.getResources().getXObjectNames().spliterator(), false)
                                .filter(name -> sheet.getResources().isImageXObject(name)))
                        .isEmpty();
            }
        }
    }

    @Test
    void pagesAreOfThePaperAskedForAndNumbered() throws IOException {
        try (PDDocument a4 = Loader.loadPDF(PagePdf.of(page(sponsor())));
                PDDocument letter = Loader.loadPDF(PagePdf.of(page(sponsor().withPaper(Brief.Paper.LETTER))))) {
            assertThat(a4.getPage(0).getMediaBox().getWidth()).isBetween(594f, 596f);
            assertThat(letter.getPage(0).getMediaBox().getWidth()).isBetween(611f, 613f);
            assertThat(a4.getNumberOfPages()).isGreaterThan(2);
            PDFTextStripper second = new PDFTextStripper();
            second.setStartPage(2);
            second.setEndPage(2);
            assertThat(second.getText(a4)).contains("2 / " + a4.getNumberOfPages());
        }
    }

    @Test
    void namesOfAnyScriptAreSet() throws IOException {
        BriefBlock words = BriefBlock.of("x", Kind.TEXT)
                .withHeading("Ελληνικά и русский")
                .withWords(Optional.of(List.of("Вода & <лёд> \"зимой\"", "שלום עולם")));
        byte[] pdf = PagePdf.of(page(Brief.of("b", "Scripts", "Καλημέρα").withBlocks(List.of(words))));
        assertThat(text(pdf)).contains("Ελληνικά и русский", "Вода & <лёд> \"зимой\"", "Καλημέρα");
        // Set from right to left, and read in the order in which it is spoken.
        assertThat(text(pdf)).contains("שלום עולם");
    }

    @Test
    void threeHundredRisksGoOnOverPagesWithTheirHeadRepeated() throws IOException {
        Plan plan = Examples.kestrelRidge();
        List<Risk> risks = new ArrayList<>(plan.risks());
        Risk model = risks.get(0);
        for (int i = 0; i < 300; i++) {
            risks.add(model.withId("X" + i)
                    .withTitle("Risk number " + i + " of many")
                    .withExclusiveGroup(Optional.empty()));
        }
        Brief brief = Brief.of("b", "Register", "Register")
                .withBlocks(List.of(BriefBlock.of("r", Kind.RISKS).withRows(Optional.of(400))));
        byte[] pdf = PagePdf.of(Briefs.page(
                brief,
                Examples.simulated(
                        plan.withRisks(risks).withScenarios(List.of()), new RunSettings(200, 7, Sampling.LATIN, 1))));
        String text = text(pdf);
        for (int i = 0; i < 300; i++) {
            assertThat(text).contains("Risk number " + i + " of many");
        }
        try (PDDocument document = Loader.loadPDF(pdf)) {
            int pages = document.getNumberOfPages();
            assertThat(pages).isGreaterThan(6);
            for (int p = 1; p <= pages; p++) {
                PDFTextStripper one = new PDFTextStripper();
                one.setStartPage(p);
                one.setEndPage(p);
                assertThat(one.getText(document)).contains("Owner");
            }
        }
    }

    @Test
    void aDocumentHasHeadingsTablesAndPicturesWithTheirTexts() throws IOException {
        Page page = page(sponsor());
        try (XWPFDocument document = new XWPFDocument(new ByteArrayInputStream(PageDocx.of(page)))) {
            assertThat(document.getParagraphs())
                    .filteredOn(paragraph -> "Heading1".equals(paragraph.getStyle()))
                    .extracting(XWPFParagraph::getText)
                    .containsExactlyElementsOf(
                            page.blocks().stream().map(Told::heading).toList());
            assertThat(document.getTables())
                    .hasSameSizeAs(page.blocks().stream()
                            .filter(block -> block.grid().isPresent())
                            .toList());
            List<String> texts = document.getParagraphs().stream()
                    .flatMap(paragraph -> paragraph.getRuns().stream())
                    .flatMap(run -> run.getEmbeddedPictures().stream())
                    .map(picture ->
                            picture.getCTPicture().getNvPicPr().getCNvPr().getDescr())
                    .toList();
            assertThat(texts)
                    .containsExactlyElementsOf(page.blocks().stream()
                            .flatMap(block -> block.drawing().stream())
                            .map(drawing -> drawing.alt())
                            .toList());
            assertThat(document.getFooterList().get(0).getText()).contains("Confidential: for the board alone");
            String all = document.getParagraphs().stream()
                    .map(XWPFParagraph::getText)
                    .reduce("", (a, b) -> a + "\n" + b);
            page.blocks().forEach(block -> block.lines()
                    .forEach(line -> assertThat(all).contains(line.text())));
        }
    }

    @Test
    void aPageToReadRunsNothingAndEscapesWhatPeopleType() {
        BriefBlock words = BriefBlock.of("x", Kind.TEXT)
                .withHeading("<script>alert(1)</script>")
                .withWords(Optional.of(List.of("\"><img src=x onerror=alert(1)>")));
        Brief brief = sponsor();
        List<BriefBlock> blocks = new ArrayList<>(brief.blocks());
        blocks.add(words);
        String html = PageWeb.of(page(brief.withTitle("A & B").withBlocks(blocks)));
        assertThat(html)
                .doesNotContain("<script")
                .doesNotContain("<img")
                .contains("A &amp; B")
                .contains("<svg ");
        assertThat(html).contains("&lt;script&gt;");
    }
}
