package bucina.desk.tonight;

import bucina.core.measure.Unit;
import bucina.desk.session.Desk;
import bucina.desk.session.Evening;
import bucina.desk.session.Printing;
import bucina.store.drawing.EveningPdf;
import bucina.store.drawing.Paper;
import java.nio.file.Files;
import java.nio.file.Path;

/** Puts the card of the evening beside the build. */
final class EveningCard {

    private EveningCard() {}

    /** Writes it off the interface thread; where it lies is said. */
    static void write(Desk desk, Evening evening) {
        evening.plannedProperty().get().ifPresent(planned -> {
            String day = desk.session().today().toString();
            Unit unit = desk.unit();
            Path to = desk.session().path().resolveSibling("evening-" + day + ".pdf");
            desk.session()
                    .aside(
                            () -> Files.write(
                                    to,
                                    EveningPdf.write(
                                            planned.of().build().name() + ", " + day,
                                            planned.tonight(),
                                            planned.of().derivation(),
                                            unit,
                                            unit == Unit.INCH ? Paper.LETTER : Paper.A4,
                                            Printing.FONTS)),
                            path -> desk.session().say("The card of the evening is at " + path),
                            desk.session()::say);
        });
    }
}
