package app.nosegay.cli;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The house of docs/architecture.md: who may use whom. */
@AnalyzeClasses(packages = "app.nosegay", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseTest {
    private static final String[] CORE = {
        "app.nosegay.time..",
        "app.nosegay.library..",
        "app.nosegay.plan..",
        "app.nosegay.script..",
        "app.nosegay.shoot..",
        "app.nosegay.match..",
        "app.nosegay.transcript..",
        "app.nosegay.dress..",
        "app.nosegay.proof..",
        "app.nosegay.publish..",
        "app.nosegay.workout..",
        "app.nosegay.logbook.."
    };

    @ArchTest
    static final ArchRule modulesDependOneWay = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("core")
            .definedBy(CORE)
            .layer("paint")
            .definedBy("app.nosegay.paint..")
            .layer("media")
            .definedBy("app.nosegay.media..")
            .layer("listen")
            .definedBy("app.nosegay.listen..")
            .layer("standins")
            .definedBy("app.nosegay.standins..")
            .layer("jobs")
            .definedBy("app.nosegay.jobs..")
            .layer("desktop")
            .definedBy("app.nosegay.desktop..")
            .layer("cli")
            .definedBy("app.nosegay.cli..")
            .whereLayer("cli")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("desktop")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("jobs")
            .mayOnlyBeAccessedByLayers("desktop", "cli")
            .whereLayer("listen")
            .mayOnlyBeAccessedByLayers("jobs")
            .whereLayer("standins")
            .mayOnlyBeAccessedByLayers("jobs", "desktop", "cli")
            .whereLayer("paint")
            .mayOnlyBeAccessedByLayers("standins", "jobs", "desktop", "cli")
            .whereLayer("media")
            .mayOnlyBeAccessedByLayers("standins", "jobs", "desktop", "cli");

    @ArchTest
    static final ArchRule theCoreKnowsNoInterfaceNoMediaAndNoFiles = noClasses()
            .that()
            .resideInAnyPackage(CORE)
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "org.bytedeco..", "java.awt..", "javax.swing..", "java.nio.file..");

    @ArchTest
    static final ArchRule stagesHaveNoCircles =
            slices().matching("app.nosegay.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule onlyTheDesktopUsesJavaFx = noClasses()
            .that()
            .resideOutsideOfPackage("app.nosegay.desktop..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "org.fxmisc..");

    @ArchTest
    static final ArchRule namesSayWhatThingsAre =
            classes().should().haveNameNotMatching(".*(Manager|Helper|Utils?|Impl|Misc)");
}
