package bucina.core.sums;

import bucina.core.bend.Springback;
import bucina.core.bend.Taper;
import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rule.Level;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** The angle that each flange of a rib or frame needs where the skins taper. */
final class TaperSum implements Sum {

    @Override
    public About about() {
        return new About(
                "taper",
                Family.FORM,
                "Flange to taper",
                "How far is each flange of each rib opened or closed, where the skins come together toward the tip?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.length("root", "Root: station, front, rear", "0, 0, 20"),
                Ask.length("rootdepth", "Root depth, front, rear", "4.2, 1.6"),
                Ask.length("tip", "Tip: station, front, rear", "48, 3, 15"),
                Ask.length("tipdepth", "Tip depth, front, rear", "2.4, 1.0"),
                Ask.length("ribs", "Ribs at", "0, 12, 24, 36, 48"),
                Ask.choice("faces", "Flanges go", List.of("outboard", "inboard")));
    }

    private static Taper.Section section(Figures f, String place, String depth) {
        List<Length> p = f.signed(place);
        List<Length> d = f.signed(depth);
        if (p.size() != 3 || d.size() != 2 && d.size() != 4) {
            throw new InputException((place.equals("root") ? "Root" : "Tip")
                    + " takes three places (station, front, rear) and two depths, or four heights: upper "
                    + "front, upper rear, lower front, lower rear; like 0, 0, 20 and 4.2, 1.6");
        }
        Taper.Heights heights = heights(d);
        return new Taper.Section(p.get(0), p.get(1), p.get(2), heights);
    }

    private static Taper.Heights heights(List<Length> d) {
        return d.size() == 2
                ? Taper.Heights.even(d.get(0), d.get(1))
                : new Taper.Heights(d.get(0), d.get(1), d.get(2), d.get(3));
    }

    @Override
    public Answer answer(Figures f) {
        Taper taper = new Taper(section(f, "root", "rootdepth"), section(f, "tip", "tipdepth"));
        Taper.Faces faces = f.is("faces", "outboard") ? Taper.Faces.OUTBOARD : Taper.Faces.INBOARD;
        List<Length> stations = f.signed("ribs");
        List<Taper.Flange> flanges =
                stations.stream().flatMap(s -> taper.rib(s, faces).stream()).toList();
        Answer.Maker out = new Answer.Maker();
        Taper.Flange most = flanges.stream()
                .max(Comparator.comparingDouble(x -> Math.abs(x.change().degrees())))
                .orElseThrow();
        change(out, most, f, flanges);
        out.note(Level.NOTE, "Check with a bevel set to the angle between web and flange; the drawing governs.");
        table(out, f, flanges);
        return out.answer(plan(f, taper, stations), front(taper, stations, faces));
    }

    private static void table(Answer.Maker out, Figures f, List<Taper.Flange> flanges) {
        out.heads(
                "Rib at " + f.shown().symbol(),
                "Skin",
                "Between, front",
                "Between, rear",
                "Turned, front",
                "Turned, rear",
                "From 90°");
        for (int i = 0; i < flanges.size(); i++) {
            Taper.Flange x = flanges.get(i);
            boolean pair = x.skin().equals("upper") && alike(x, flanges.get(i + 1));
            double change = x.change().degrees();
            i += pair ? 1 : 0;
            out.row(
                    f.figure(x.station()),
                    pair ? "both" : x.skin(),
                    two(x.front()),
                    two(x.rear()),
                    two(x.turnFront()),
                    two(x.turnRear()),
                    Math.abs(change) < 0.005
                            ? "as it is"
                            : (change > 0 ? "open " : "close ") + two(Angle.degrees(Math.abs(change))));
        }
    }

    private static void change(Answer.Maker out, Taper.Flange most, Figures f, List<Taper.Flange> flanges) {
        out.line(
                "Most change",
                two(most.change()) + " at " + f.show(most.station()),
                "slope of the skin across the rib at a fixed place along the chord",
                "atan of the rise per span = " + two(most.change()),
                "geometry of a skin that is straight from root to tip",
                "Ribs stand square to the span. The straight lines of the skin run at fixed shares of the chord.");
        out.line("Flanges", Integer.toString(flanges.size()), "", "", "two for each rib", "");
        if (!Springback.tweakable(most.change())) {
            out.note(
                    Level.WARNING,
                    "A flange delivered at 90° that needs more than 2° is not tweaked in the vice: ask for it "
                            + "formed so, or make it anew.");
        }
    }

    private static boolean alike(Taper.Flange a, Taper.Flange b) {
        return Math.abs(a.front().degrees() - b.front().degrees()) < 1e-9
                && Math.abs(a.rear().degrees() - b.rear().degrees()) < 1e-9;
    }

    private static String two(Angle a) {
        return String.format(Locale.ROOT, "%.2f°", a.degrees());
    }

    private static Picture.Panel plan(Figures f, Taper taper, List<Length> ribs) {
        Picture.Pen pen = new Picture.Pen();
        double y0 = taper.root().station().nanometres();
        double y1 = taper.tip().station().nanometres();
        pen.area(
                Picture.Ink.METAL,
                y0,
                -taper.root().front().nanometres(),
                y1,
                -taper.tip().front().nanometres(),
                y1,
                -taper.tip().rear().nanometres(),
                y0,
                -taper.root().rear().nanometres());
        for (Length rib : ribs) {
            double s = (rib.nanometres() - y0) / (y1 - y0);
            double front = -mix(taper.root().front(), taper.tip().front(), s);
            double rear = -mix(taper.root().rear(), taper.tip().rear(), s);
            pen.line(Picture.Ink.TANGENT, rib.nanometres(), front, rib.nanometres(), rear);
            pen.words(Picture.Ink.TANGENT, rib.nanometres(), rear, f.figure(rib), Picture.Side.BELOW);
        }
        return pen.panel("From above: ribs by station, front edge up", 0.55);
    }

    private static double mix(Length a, Length b, double s) {
        return a.nanometres() + (b.nanometres() - a.nanometres()) * s;
    }

    private static Picture.Panel front(Taper taper, List<Length> ribs, Taper.Faces faces) {
        Picture.Pen pen = new Picture.Pen();
        double y0 = taper.root().station().nanometres();
        double y1 = taper.tip().station().nanometres();
        Taper.Heights a = taper.root().heights();
        Taper.Heights b = taper.tip().heights();
        edges(pen, y0, a, y1, b);
        double out = (faces == Taper.Faces.OUTBOARD ? 1 : -1) * (y1 - y0) * 0.025;
        for (Length rib : ribs) {
            rib(rib, y0, y1, a, b, pen, out);
        }
        return pen.panel(
                "From the front, depth drawn larger: skins at the front, dashed at the rear, ribs with their flanges",
                0.45,
                2.5);
    }

    private static void rib(
            Length rib, double y0, double y1, Taper.Heights a, Taper.Heights b, Picture.Pen pen, double out) {
        double s = (rib.nanometres() - y0) / (y1 - y0);
        double up = mix(a.upperFront(), b.upperFront(), s);
        double down = -mix(a.lowerFront(), b.lowerFront(), s);
        double slopeUp = (b.upperFront().nanometres() - a.upperFront().nanometres()) / (y1 - y0);
        double slopeDown = -(b.lowerFront().nanometres() - a.lowerFront().nanometres()) / (y1 - y0);
        pen.line(
                Picture.Ink.BLUE,
                rib.nanometres() + out,
                up + slopeUp * out,
                rib.nanometres(),
                up,
                rib.nanometres(),
                down,
                rib.nanometres() + out,
                down + slopeDown * out);
    }

    private static void edges(Picture.Pen pen, double y0, Taper.Heights a, double y1, Taper.Heights b) {
        pen.line(
                Picture.Ink.EDGE,
                y0,
                a.upperFront().nanometres(),
                y1,
                b.upperFront().nanometres());
        pen.line(
                Picture.Ink.EDGE,
                y0,
                -a.lowerFront().nanometres(),
                y1,
                -b.lowerFront().nanometres());
        pen.line(
                Picture.Ink.GHOST,
                y0,
                a.upperRear().nanometres(),
                y1,
                b.upperRear().nanometres());
        pen.line(
                Picture.Ink.GHOST,
                y0,
                -a.lowerRear().nanometres(),
                y1,
                -b.lowerRear().nanometres());
    }
}
