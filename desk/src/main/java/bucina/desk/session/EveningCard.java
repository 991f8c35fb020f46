package bucina.desk.session;

import bucina.core.measure.Unit;
import bucina.store.drawing.EveningPdf;
import bucina.store.drawing.Paper;
import bucina.store.file.OutFile;
import java.nio.file.Path;

/** Puts the card of the evening beside the build. */
public final class EveningCard {

    private EveningCard() {}

    /** Writes it off the interface thread; where it lies is said. */
    public static void write(Desk desk, Evening evening) {
        evening.plannedProperty().get().ifPresent(planned -> {
            String day = desk.session().today().toString();
            Unit unit = desk.unit();
            Path to = desk.session().path().resolveSibling("evening-" + day + ".pdf");
            desk.session()
                    .aside(
                            () -> {
                                byte[] card = EveningPdf.write(
                                        planned.of().build().name() + ", " + day,
                                        planned.tonight(),
                                        planned.of().derivation(),
                                        unit,
                                        unit == Unit.INCH ? Paper.LETTER : Paper.A4,
                                        Printing.FONTS);
                                OutFile.write(to, card, true);
                                return to;
                            },
                            path -> desk.session().say("The card of the evening is at " + path),
                            desk.session()::say);
        });
    }
}
