package app.nosegay.bench;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** The house of docs/architecture.md: who may use whom. */
@AnalyzeClasses(
        packages = "app.nosegay",
        importOptions = {ImportOption.DoNotIncludeTests.class, HouseTest.NoTestJars.class})
class HouseTest {
    /** The core's tests come as a jar where the whole build runs. */
    static final class NoTestJars implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("-tests.jar");
        }
    }

    /** The rooms of the core in the order of the work: each knows only those before it. */
    private static final List<String> ROOMS = List.of(
            "text",
            "cache",
            "time",
            "library",
            "captions",
            "evidence",
            "evidence.sound",
            "evidence.sight",
            "calls",
            "calls.phrase",
            "calls.meaning",
            "calls.reader",
            "plan.terms",
            "plan.sheet",
            "plan",
            "plan.edit",
            "plan.check",
            "plan.fit",
            "plan.bed",
            "script",
            "script.check",
            "shoot",
            "match.features",
            "match.lattice",
            "match",
            "cut",
            "review.said",
            "review",
            "review.seen",
            "calibration",
            "dress",
            "publish",
            "proof",
            "workout",
            "series",
            "logbook");

    private static final String[] CORE =
            ROOMS.stream().map(r -> "app.nosegay." + r).toArray(String[]::new);

    /** More classes than this that all know each other cannot be read one by one. */
    private static final int MOST_IN_A_CIRCLE = 3;

    @ArchTest
    static final ArchRule modulesDependOneWay = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("core")
            .definedBy(CORE)
            .layer("paint")
            .definedBy("app.nosegay.paint..")
            .layer("files")
            .definedBy("app.nosegay.files..")
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
            .layer("bench")
            .definedBy("app.nosegay.bench..")
            .whereLayer("bench")
            .mayNotBeAccessedByAnyLayer()
            .whereLayer("cli")
            .mayOnlyBeAccessedByLayers("bench")
            .whereLayer("desktop")
            .mayOnlyBeAccessedByLayers("bench")
            .whereLayer("jobs")
            .mayOnlyBeAccessedByLayers("desktop", "cli", "bench")
            .whereLayer("listen")
            .mayOnlyBeAccessedByLayers("jobs", "bench")
            .whereLayer("standins")
            .mayOnlyBeAccessedByLayers("jobs", "desktop", "cli", "bench")
            .whereLayer("paint")
            .mayOnlyBeAccessedByLayers("standins", "jobs", "desktop", "cli", "bench")
            .whereLayer("media")
            .mayOnlyBeAccessedByLayers("standins", "jobs", "desktop", "cli", "bench");

    @ArchTest
    static final ArchRule theCoreKnowsNoInterfaceNoMediaAndNoFiles = noClasses()
            .that()
            .resideInAnyPackage(CORE)
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "org.bytedeco..", "java.awt..", "javax.swing..", "java.nio.file..");

    @ArchTest
    static final ArchRule packagesHaveNoCircles =
            slices().matching("app.nosegay.(**)").should().beFreeOfCycles();

    @ArchTest
    static void roomsKnowOnlyThoseBeforeThem(JavaClasses all) {
        List<String> wrong = new ArrayList<>();
        for (JavaClass c : all) {
            int from = room(c);
            for (Dependency d : c.getDirectDependenciesFromSelf()) {
                int to = room(d.getTargetClass());
                if (from >= 0 && to > from) {
                    wrong.add(d.getDescription());
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    @ArchTest
    static void theCoreIsMadeOfTheseRooms(JavaClasses all) {
        List<String> others = all.stream()
                .filter(c -> c.getSource().isPresent()
                        && c.getSource().get().getUri().toString().contains("nosegay-core"))
                .filter(c -> room(c) < 0)
                .map(JavaClass::getName)
                .toList();
        assertThat(others).isEmpty();
    }

    private static int room(JavaClass c) {
        return c.getPackageName().startsWith("app.nosegay.")
                ? ROOMS.indexOf(c.getPackageName().substring("app.nosegay.".length()))
                : -1;
    }

    @ArchTest
    static void circlesOfClassesAreShort(JavaClasses all) {
        Map<String, Set<String>> knows = new TreeMap<>();
        for (JavaClass c : all) {
            for (Dependency d : c.getDirectDependenciesFromSelf()) {
                if (d.getTargetClass().getPackageName().startsWith("app.nosegay")) {
                    knows.computeIfAbsent(outer(c), x -> new TreeSet<>()).add(outer(d.getTargetClass()));
                }
            }
        }
        assertThat(Circles.in(knows))
                .allSatisfy(circle -> assertThat(circle).hasSizeLessThanOrEqualTo(MOST_IN_A_CIRCLE));
    }

    private static String outer(JavaClass c) {
        String name = c.getName();
        return name.contains("$") ? name.substring(0, name.indexOf('$')) : name.replace("[]", "");
    }

    @ArchTest
    static final ArchRule filesAreWrittenInOneWay = noClasses()
            .that()
            .resideOutsideOfPackages("app.nosegay.files..", "app.nosegay.bench..")
            .should()
            .callMethodWhere(describe(
                    "writes or renames a file",
                    call -> call.getTargetOwner().isEquivalentTo(Files.class)
                            && Set.of("write", "writeString", "move", "newBufferedWriter", "newOutputStream")
                                    .contains(call.getName())))
            .because("AtomicFile leaves nothing half-written under a final name");

    @ArchTest
    static final ArchRule onlyTheDesktopUsesJavaFx = noClasses()
            .that()
            .resideOutsideOfPackages("app.nosegay.desktop..", "app.nosegay.bench..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx..", "org.fxmisc..");

    @ArchTest
    static final ArchRule namesSayWhatThingsAre =
            classes().should().haveNameNotMatching(".*(Manager|Helper|Utils?|Impl|Misc)");
}
