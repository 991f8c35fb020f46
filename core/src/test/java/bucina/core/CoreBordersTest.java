package bucina.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.File;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.UUID;

@AnalyzeClasses(packages = "bucina.core", importOptions = ImportOption.DoNotIncludeTests.class)
class CoreBordersTest {

    @ArchTest
    static final ArchRule CORE_KNOWS_NO_WINDOW_DATABASE_OR_FILE = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "javafx..", "java.sql..", "java.nio.file..", "java.awt..", "bucina.store..", "bucina.desk..")
            .orShould()
            .dependOnClassesThat()
            .belongToAnyOf(File.class);

    @ArchTest
    static final ArchRule CORE_IS_GIVEN_THE_TIME = noClasses()
            .should()
            .callMethod(Instant.class, "now")
            .orShould()
            .callMethod(LocalDateTime.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(UUID.class, "randomUUID");

    @ArchTest
    static final ArchRule PACKAGES_DO_NOT_GO_ROUND_IN_CIRCLES =
            slices().matching("bucina.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule THE_RIVET_KNOWS_NO_PLAN = noClasses()
            .that()
            .resideInAnyPackage("bucina.core.rivet..", "bucina.core.dress..", "bucina.core.rule..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "bucina.core.plan..", "bucina.core.sheet..", "bucina.core.stack..", "bucina.core.log..");
}
