package app.leeward.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

@ServerTest
class ContractTest {
    @LocalServerPort
    int port;

    /** The page's types are generated from the committed description, so it must be the one this server serves. */
    @Test
    void theCommittedDescriptionIsTheOneServed() throws Exception {
        var served = new Client(port).get("/api/openapi").json();
        Path fresh = Path.of("target", "openapi.json");
        Client.JSON.writerWithDefaultPrettyPrinter().writeValue(fresh.toFile(), served);
        var committed = Client.JSON.readTree(Files.readAllBytes(Path.of("..", "web", "openapi.json")));
        assertThat(committed.equals(served))
                .as("the API changed: copy server/target/openapi.json to web/openapi.json")
                .isTrue();
    }

    @Test
    void dependenciesPointUpwardsOnly() {
        JavaClasses all = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("app.leeward");
        String[] order = {"core", "speech", "formats", "render", "demo", "server"};
        for (int i = 0; i < order.length; i++) {
            for (int k = i + 1; k < order.length; k++) {
                noClasses()
                        .that()
                        .resideInAPackage("app.leeward." + order[i] + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAPackage("app.leeward." + order[k] + "..")
                        .check(all);
            }
        }
        noClasses()
                .that()
                .resideOutsideOfPackage("app.leeward.server..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework..", "jakarta..")
                .check(all);
        noClasses()
                .that()
                .resideInAPackage("app.leeward.server.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("app.leeward.server.api..", "app.leeward.server.studio..")
                .check(all);
        noClasses()
                .that()
                .resideInAPackage("app.leeward.server.studio..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("app.leeward.server.api..")
                .check(all);
    }
}
