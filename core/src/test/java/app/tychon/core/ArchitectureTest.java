package app.tychon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "app.tychon.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule ARROWS_POINT_ONE_WAY = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("analysis")
            .definedBy("..core.analysis..")
            .layer("simulation")
            .definedBy("..core.simulation..")
            .layer("uncertainty")
            .definedBy("..core.uncertainty..")
            .layer("statistics")
            .definedBy("..core.statistics..")
            .layer("schedule")
            .definedBy("..core.schedule..")
            .layer("calendar")
            .definedBy("..core.calendar..")
            .layer("model")
            .definedBy("..core.model..")
            .whereLayer("analysis")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("simulation")
            .mayOnlyBeAccessedByLayers("analysis")
            .whereLayer("uncertainty")
            .mayOnlyBeAccessedByLayers("simulation", "analysis")
            .whereLayer("schedule")
            .mayOnlyBeAccessedByLayers("simulation", "analysis")
            .whereLayer("calendar")
            .mayOnlyBeAccessedByLayers("schedule", "statistics", "simulation", "analysis")
            .whereLayer("statistics")
            .mayOnlyBeAccessedByLayers("simulation", "analysis");

    @ArchTest
    static final ArchRule NOTHING_BUT_CALCULATION = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..", "com.fasterxml..", "jakarta..", "java.sql..", "java.net..", "java.io..");
}
