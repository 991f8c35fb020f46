package bucina.desk;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import bucina.desk.look.Scroll;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.paint.Color;

@AnalyzeClasses(packages = "bucina.desk", importOptions = ImportOption.DoNotIncludeTests.class)
class DeskBordersTest {

    @ArchTest
    static final ArchRule STATE_HAS_NO_NODES = noClasses()
            .that()
            .resideInAnyPackage("bucina.desk.session..", "bucina.desk.sums..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("javafx.scene..", "javafx.stage..", "javafx.application..");

    @ArchTest
    static final ArchRule THE_COMMAND_LINE_STARTS_NO_TOOLKIT = noClasses()
            .that()
            .resideInAPackage("bucina.desk.cli..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "javafx.scene..",
                    "javafx.stage..",
                    "javafx.application..",
                    "bucina.desk.app..",
                    "bucina.desk.look..");

    @ArchTest
    static final ArchRule VIEWS_WRITE_NOTHING = noClasses()
            .that()
            .resideInAnyPackage(
                    "bucina.desk.sheet..",
                    "bucina.desk.strip..",
                    "bucina.desk.section..",
                    "bucina.desk.bench..",
                    "bucina.desk.rack..",
                    "bucina.desk.logbook..",
                    "bucina.desk.card..",
                    "bucina.desk.papers..",
                    "bucina.desk.rules..",
                    "bucina.desk.parts..",
                    "bucina.desk.tonight..",
                    "bucina.desk.sumsroom..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("bucina.store.file..", "java.sql..");

    @ArchTest
    static final ArchRule COLOURS_COME_FROM_THE_PALETTE = noClasses()
            .that()
            .resideOutsideOfPackage("bucina.desk.look..")
            .should()
            .callMethod(Color.class, "web", String.class);

    @ArchTest
    static final ArchRule WHAT_SCROLLS_KEEPS_NO_PICTURE_OF_ITSELF = noClasses()
            .that()
            .doNotBelongToAnyOf(Scroll.class)
            .should()
            .callConstructor(ScrollPane.class)
            .orShould()
            .callConstructor(ScrollPane.class, Node.class);
}
