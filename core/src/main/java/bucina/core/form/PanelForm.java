package bucina.core.form;

import bucina.core.callout.Callout;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.panel.PanelPlan;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The figures of a panel as they are typed. */
public final class PanelForm {

    /** The shape of the skin. */
    public enum Shape {
        RECTANGLE("rectangle"),
        TAPER("taper"),
        POLYGON("polygon");

        private final String word;

        Shape(String word) {
            this.word = word;
        }

        /** In plain words. */
        public String word() {
            return word;
        }
    }

    public String name = "";
    /** The assembly it goes into; empty for one of its own. */
    public Optional<Id.Assembly> into = Optional.empty();
    /** The part its skin is a sheet of; empty for one of its own. */
    public Optional<Id.Part> skinPart = Optional.empty();

    public Hand hand = Hand.LEFT;
    public Shape shape = Shape.TAPER;
    public String length = "";
    public String root = "";
    public String tip = "";
    public String corners = "";
    public String thickness = ".025";
    public String spars = "";
    public String sparWidth = ".75";
    public String sparThickness = ".040";
    public String ribs = "";
    public String ribWidth = ".64";
    public String ribThickness = ".032";
    public String doubler = "";
    public String doublerThickness = ".040";
    public String rivet = "MS20426AD3";
    public String pitch = "1";

    /**
     * The plan the figures make.
     *
     * @param called the name it gets
     * @throws InputException with one sentence that names the field
     */
    public PanelPlan plan(String called, LengthParser lengths, Unit unit) {
        PanelPlan.Sheet skin =
                new PanelPlan.Sheet(outline(lengths), lengths.parsePositive(thickness, "skin thickness"));
        List<PanelPlan.Spar> sparList = new ArrayList<>();
        if (!spars.isBlank()) {
            PanelPlan.Flange flange = flange(sparWidth, sparThickness, "spar", lengths);
            for (String part : spars.split(",", -1)) {
                String[] ends = part.split(":", -1);
                if (ends.length > 2) {
                    throw new InputException("spars: \"" + part.strip()
                            + "\" is no place: write y of the centre line like 2.5, or root:tip like 2.5:2");
                }
                Length atRoot = named(ends[0], "spars", lengths);
                sparList.add(new PanelPlan.Spar(
                        "Spar " + (sparList.size() + 1),
                        atRoot,
                        ends.length == 2 ? named(ends[1], "spars", lengths) : atRoot,
                        flange));
            }
        }
        List<PanelPlan.Rib> ribList = new ArrayList<>();
        if (!ribs.isBlank()) {
            PanelPlan.Flange flange = flange(ribWidth, ribThickness, "rib", lengths);
            for (String part : ribs.split(",", -1)) {
                ribList.add(new PanelPlan.Rib("Rib " + (ribList.size() + 1), named(part, "ribs", lengths), flange));
            }
        }
        Callout callout = Callout.parse(rivet);
        return new PanelPlan(
                called.strip(),
                hand,
                unit,
                "from outside",
                "outboard",
                "forward",
                skin,
                Material.parse("2024-T3"),
                sparList,
                ribList,
                doublers(lengths),
                callout.fastener(),
                callout.count().isPresent() ? callout.text() : "",
                lengths.parsePositive(pitch, "pitch"));
    }

    private static Length named(String text, String field, LengthParser lengths) {
        try {
            return lengths.parse(text);
        } catch (InputException e) {
            throw new InputException(field + ": " + e.getMessage(), e);
        }
    }

    private static PanelPlan.Flange flange(String width, String thickness, String what, LengthParser lengths) {
        return new PanelPlan.Flange(
                lengths.parsePositive(width, what + " flange width"),
                lengths.parsePositive(thickness, what + " thickness"));
    }

    private Outline outline(LengthParser lengths) {
        if (shape == Shape.POLYGON) {
            return polygon(corners, lengths);
        }
        Length along = lengths.parsePositive(length, "length");
        Length chord = lengths.parsePositive(root, shape == Shape.TAPER ? "root chord" : "chord");
        Length other = shape == Shape.TAPER ? lengths.parsePositive(tip, "tip chord") : chord;
        Length zero = Length.ZERO;
        return Outline.of(Ring.polygon(
                List.of(Point.at(zero, zero), Point.at(along, zero), Point.at(along, other), Point.at(zero, chord))));
    }

    /** An outline of corners as typed: {@code 0,0; 20,0; 18,9; 0,10}. */
    public static Outline polygon(String text, LengthParser lengths) {
        List<Point> points = new ArrayList<>();
        for (String pair : text.strip().split("[;\\n]+")) {
            if (!pair.isBlank()) {
                points.add(point(pair, lengths));
            }
        }
        if (points.size() < 3) {
            throw new InputException("an outline has at least 3 corners, was given " + points.size()
                    + ": write them like 0,0; 20,0; 18,9; 0,10");
        }
        return Outline.of(Ring.polygon(points));
    }

    /** A point as typed: {@code 12.5, 4}. */
    public static Point point(String text, LengthParser lengths) {
        String[] xy = text.strip().split("\\s*,\\s*|\\s{2,}", -1);
        if (xy.length != 2) {
            throw new InputException("\"" + text.strip() + "\" is no place: write x and y like 12.5, 4");
        }
        return Point.at(named(xy[0], "x", lengths), named(xy[1], "y", lengths));
    }

    private List<PanelPlan.Doubler> doublers(LengthParser lengths) {
        if (doubler.isBlank()) {
            return List.of();
        }
        String[] corners2 = doubler.split("\\s+to\\s+|;", -1);
        if (corners2.length != 2) {
            throw new InputException(
                    "doubler: \"" + doubler.strip() + "\" has no two corners: write them like 0,2 to 12,5");
        }
        return List.of(new PanelPlan.Doubler(
                "Doubler",
                point(corners2[0], lengths),
                point(corners2[1], lengths),
                lengths.parsePositive(doublerThickness, "doubler thickness")));
    }
}
