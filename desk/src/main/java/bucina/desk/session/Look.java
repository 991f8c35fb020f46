package bucina.desk.session;

import bucina.core.measure.Unit;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;

/** How things are looked at: unit, theme, size of text; all but what is gone with the window is kept. */
public final class Look {

    private final Prefs prefs;
    private final ObjectProperty<Unit> unit = new SimpleObjectProperty<>();
    private final BooleanProperty dark = new SimpleBooleanProperty();
    private final IntegerProperty scale = new SimpleIntegerProperty();
    private final BooleanProperty legend = new SimpleBooleanProperty();
    private final BooleanProperty bench = new SimpleBooleanProperty();
    private final BooleanProperty trim = new SimpleBooleanProperty();

    /** @param usual the unit of the build, taken where the builder never chose one */
    Look(Prefs prefs, Unit usual) {
        this.prefs = prefs;
        unit.set(prefs.unit().orElse(usual));
        dark.set(prefs.dark());
        scale.set(prefs.scale());
        unit.addListener((o, was, now) -> prefs.keep("unit", now.symbol()));
        dark.addListener((o, was, now) -> prefs.keep("dark", now.toString()));
        scale.addListener((o, was, now) -> prefs.keep("scale", now.toString()));
    }

    /** Lengths are shown and read in it. */
    public ObjectProperty<Unit> unitProperty() {
        return unit;
    }

    /** Shows the other unit. */
    public void turnUnit() {
        unit.set(unit.get() == Unit.INCH ? Unit.MM : Unit.INCH);
    }

    /** True for the night theme. */
    public BooleanProperty darkProperty() {
        return dark;
    }

    /** Shows the other theme. */
    public void turnDark() {
        turn(dark);
    }

    /** Size of text in percent, 100 to 200. */
    public IntegerProperty scaleProperty() {
        return scale;
    }

    /** True while the legend is shown. */
    public BooleanProperty legendProperty() {
        return legend;
    }

    /** Shows the legend or puts it away. */
    public void turnLegend() {
        turn(legend);
    }

    /** True while the job is shown in type that reads from three metres. */
    public BooleanProperty benchProperty() {
        return bench;
    }

    /** Shows the job in large type, or everything again. */
    public void turnBench() {
        turn(bench);
    }

    /** True while the safe trim lines are shown. */
    public BooleanProperty trimProperty() {
        return trim;
    }

    /** Shows the safe trim lines or puts them away. */
    public void turnTrim() {
        turn(trim);
    }

    private static void turn(BooleanProperty shown) {
        shown.set(!shown.get());
    }

    /** True if alarms are heard as well as seen. */
    public boolean sound() {
        return prefs.sound();
    }

    /** Lets alarms be heard, or only seen. */
    public void sound(boolean on) {
        prefs.keep("sound", Boolean.toString(on));
    }
}
