package bucina.store;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "bucina.store", importOptions = ImportOption.DoNotIncludeTests.class)
class StoreBordersTest {

    @ArchTest
    static final ArchRule STORE_KNOWS_NO_WINDOW =
            noClasses().should().dependOnClassesThat().resideInAnyPackage("javafx..", "java.awt..", "bucina.desk..");

    @ArchTest
    static final ArchRule JSON_KNOWS_NO_DATABASE = noClasses()
            .that()
            .resideInAPackage("bucina.store.json..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..", "org.sqlite..", "bucina.store.file..", "java.nio.file..");
}
