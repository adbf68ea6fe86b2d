package app.leeward.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "app.leeward.core", importOptions = ImportOption.DoNotIncludeTests.class)
class RoomsTest {
    @ArchTest
    static final ArchRule coreSeesNoFrameworkAndNoOutsideWorld = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "jakarta..",
                    "com.fasterxml..",
                    "java.io..",
                    "java.nio..",
                    "java.net..",
                    "java.sql..",
                    "java.awt..",
                    "javax..",
                    "java.lang.reflect..",
                    "java.util.concurrent..",
                    "app.leeward.speech..",
                    "app.leeward.formats..",
                    "app.leeward.render..",
                    "app.leeward.server..")
            .because("core is plain computation: no IO, clocks, reflection or frameworks, and no threads of its own");

    @ArchTest
    static final ArchRule coreReadsNoClock = noClasses()
            .should()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(System.class, "nanoTime")
            .orShould()
            .callMethod(java.time.Instant.class, "now")
            .because("times are handed in");

    @ArchTest
    static final ArchRule roomsDoNotGoInCircles =
            slices().matching("app.leeward.core.(*)..").should().beFreeOfCycles();
}
