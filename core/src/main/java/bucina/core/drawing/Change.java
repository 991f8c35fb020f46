package bucina.core.drawing;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.util.Optional;

/** One thing in which a new revision of a drawing differs from what is planned. */
public sealed interface Change {

    /** What is different, one sentence. */
    String words(Unit unit);

    /** What was done on the hole already, as the end of a sentence; empty where nothing was. */
    Optional<String> done();

    /** A hole that is drawn in another place. */
    record Moved(Id.Hole hole, String label, Point from, Point to, Optional<String> done) implements Change {
        @Override
        public String words(Unit unit) {
            return label + " is drawn " + LengthFormat.trade(from.to(to), unit) + " away, at " + place(to, unit)
                    + done.map(d -> ". It is " + d + ": tick it only if it was made where it is drawn now")
                            .orElse("")
                    + ".";
        }
    }

    /** A hole that is not drawn any more. */
    record Gone(Id.Hole hole, String label, Point at, Optional<String> done) implements Change {
        @Override
        public String words(Unit unit) {
            return label + " at " + place(at, unit) + " is not drawn any more"
                    + done.map(d -> ". It is " + d + ": tick it only if it was never made")
                            .orElse("")
                    + ".";
        }
    }

    /**
     * A hole that was not there.
     *
     * @param line the row it is drawn in
     */
    record Added(Drawing.Circle circle, Intake.Line line) implements Change {
        @Override
        public String words(Unit unit) {
            return "A hole"
                    + (line.sized() ? " of " + LengthFormat.trade(circle.diameter(), unit) : "")
                    + " is drawn at " + place(circle.at(), unit) + " where none was.";
        }

        @Override
        public Optional<String> done() {
            return Optional.empty();
        }
    }

    /**
     * A sheet with another outline.
     *
     * @param by how far the edges are apart at most
     */
    record Redrawn(Id.Layer layer, String name, Outline outline, Length by) implements Change {
        @Override
        public String words(Unit unit) {
            return "The outline of " + name + " is another: its edges lie up to " + LengthFormat.trade(by, unit)
                    + " apart.";
        }

        @Override
        public Optional<String> done() {
            return Optional.empty();
        }
    }

    private static String place(Point p, Unit unit) {
        return LengthFormat.figure(Length.nm(p.x()), unit, 3) + ", " + LengthFormat.figure(Length.nm(p.y()), unit, 3)
                + " " + unit.symbol();
    }
}
