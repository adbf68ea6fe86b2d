package app.leeward.page;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** What runs in the page sees core and nothing else of ours: no server, no files, no reflection. */
class RoomsTest {
    private final JavaClasses page = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("app.leeward.page");

    @Test
    void theCodecSeesCoreAlone() {
        classes()
                .that()
                .resideInAPackage("app.leeward.page.json")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("app.leeward.page.json", "app.leeward.core..", "java.lang", "java.util..")
                .check(page);
    }

    @Test
    void theDoorsSeeTheBrowserToo() {
        classes()
                .that()
                .resideInAPackage("app.leeward.page.js")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "app.leeward.page..", "app.leeward.core..", "java.lang", "java.util..", "org.teavm.jso..")
                .check(page);
    }
}
