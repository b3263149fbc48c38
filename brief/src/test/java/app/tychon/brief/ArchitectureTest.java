package app.tychon.brief;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "app.tychon.brief", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule ROOMS_LIE_ON_EACH_OTHER = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("ground")
            .definedBy("..brief.ground..")
            .layer("drawing")
            .definedBy("..brief.drawing..")
            .layer("words")
            .definedBy("..brief.words..")
            .layer("blocks")
            .definedBy("..brief.blocks..")
            .layer("paper")
            .definedBy("..brief.paper..")
            .layer("workbook")
            .definedBy("..brief.workbook..")
            .layer("top")
            .definedBy("app.tychon.brief")
            .whereLayer("top")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("workbook")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("paper")
            .mayOnlyBeAccessedByLayers("top")
            .whereLayer("blocks")
            .mayOnlyBeAccessedByLayers("paper", "top")
            .whereLayer("words")
            .mayOnlyBeAccessedByLayers("blocks", "paper", "top")
            .whereLayer("drawing")
            .mayOnlyBeAccessedByLayers("blocks", "paper", "top");

    @ArchTest
    static final ArchRule NO_SERVER = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "jakarta..", "app.tychon.server..", "app.tychon.cli..");
}
