package app.tychon.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import app.tychon.core.simulation.Outputs;
import app.tychon.core.simulation.Replay;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.CompiledPlan;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "app.tychon", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule EXCHANGE_DOES_NOT_KNOW_THE_SERVER = noClasses()
            .that()
            .resideInAnyPackage("app.tychon.exchange..", "app.tychon.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.tychon.server..");

    @ArchTest
    static final ArchRule CORE_DOES_NOT_KNOW_EXCHANGE = noClasses()
            .that()
            .resideInAPackage("app.tychon.core..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.tychon.exchange..");

    @ArchTest
    static final ArchRule PLANS_DO_NOT_KNOW_RUNS = noClasses()
            .that()
            .resideInAnyPackage("..server.plan..", "..server.project..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("..server.runs..");

    @ArchTest
    static final ArchRule FEATURES_DO_NOT_GO_ROUND_IN_CIRCLES =
            slices().matching("app.tychon.server.(*)..").should().beFreeOfCycles();

    /** Requests are answered by threads of their own; what simulates goes through the pool. */
    @ArchTest
    static final ArchRule CONTROLLERS_DO_NOT_SIMULATE = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .belongToAnyOf(Simulation.class, Replay.class, Outputs.class, Differences.class, CompiledPlan.class);

    @ArchTest
    static final ArchRule TABLES_KNOW_NO_SUBJECT = noClasses()
            .that()
            .resideInAPackage("app.tychon.exchange.table..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "app.tychon.exchange.schedule..", "app.tychon.exchange.ranges..", "app.tychon.core.model..");
}
