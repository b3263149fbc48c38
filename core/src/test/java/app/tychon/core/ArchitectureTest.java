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
            .layer("scenario")
            .definedBy("..core.scenario..")
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
            .whereLayer("scenario")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("analysis")
            .mayOnlyBeAccessedByLayers("scenario")
            .whereLayer("simulation")
            .mayOnlyBeAccessedByLayers("analysis", "scenario")
            .whereLayer("uncertainty")
            .mayOnlyBeAccessedByLayers("simulation", "analysis", "scenario")
            .whereLayer("schedule")
            .mayOnlyBeAccessedByLayers("simulation", "analysis", "scenario")
            .whereLayer("calendar")
            .mayOnlyBeAccessedByLayers("schedule", "statistics", "simulation", "analysis", "scenario")
            .whereLayer("statistics")
            .mayOnlyBeAccessedByLayers("simulation", "analysis", "scenario");

    @ArchTest
    static final ArchRule ROOMS_OF_THE_SIMULATION = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("questions")
            .definedBy("..core.simulation")
            .layer("difference")
            .definedBy("..core.simulation.difference")
            .layer("tally")
            .definedBy("..core.simulation.tally")
            .layer("result")
            .definedBy("..core.simulation.result")
            .layer("engine")
            .definedBy("..core.simulation.engine")
            .layer("money")
            .definedBy("..core.simulation.money")
            .layer("risk")
            .definedBy("..core.simulation.risk")
            .layer("draws")
            .definedBy("..core.simulation.draws")
            .layer("settings")
            .definedBy("..core.simulation.settings")
            .whereLayer("questions")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("difference")
            .mayOnlyBeAccessedByLayers("questions")
            .whereLayer("tally")
            .mayOnlyBeAccessedByLayers("questions", "difference")
            .whereLayer("result")
            .mayOnlyBeAccessedByLayers("questions", "difference", "tally")
            .whereLayer("engine")
            .mayOnlyBeAccessedByLayers("questions", "difference", "tally")
            .whereLayer("money")
            .mayOnlyBeAccessedByLayers("questions", "difference", "tally", "engine")
            .whereLayer("risk")
            .mayOnlyBeAccessedByLayers("questions", "difference", "tally", "engine", "money")
            .whereLayer("draws")
            .mayOnlyBeAccessedByLayers("questions", "difference", "tally", "engine", "money", "risk")
            .whereLayer("settings")
            .mayOnlyBeAccessedByLayers(
                    "questions", "difference", "tally", "result", "engine", "money", "risk", "draws");

    /** Draws, strikes and tallies are the simulation's own; who asks it sees settings, compiled plans and results. */
    @ArchTest
    static final ArchRule MACHINERY_IS_NOT_SEEN_OUTSIDE = noClasses()
            .that()
            .resideOutsideOfPackage("..core.simulation..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("..core.simulation.draws", "..core.simulation.risk", "..core.simulation.tally");

    @ArchTest
    static final ArchRule NOTHING_BUT_CALCULATION = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..", "com.fasterxml..", "jakarta..", "java.sql..", "java.net..", "java.io..");
}
