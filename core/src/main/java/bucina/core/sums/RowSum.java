package bucina.core.sums;

import bucina.core.layout.RowLayout;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import java.util.ArrayList;
import java.util.List;

/** Stations of a row in whole spaces. */
final class RowSum implements Sum {

    @Override
    public About about() {
        return new About(
                "row",
                Family.FASTEN,
                "Row layout",
                "First hole, last hole and a wished pitch: where does every hole go?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.length("first", "First hole at", ".5"),
                Ask.length("last", "Last hole at", "20"),
                Ask.length("pitch", "Pitch wished", "1.5"),
                Ask.length("diameter", "Rivet diameter", "3/32"),
                Ask.length("thickness", "Thinnest sheet", ".025"),
                Ask.choice("fixed", "The pitch is", List.of("free", "fixed by the drawing")));
    }

    @Override
    public Answer answer(Figures f) {
        Length d = f.over0("diameter");
        RowLayout row = RowLayout.of(
                f.length("first"),
                f.length("last"),
                f.over0("pitch"),
                d,
                f.maybe("thickness"),
                f.is("fixed", "fixed by the drawing"),
                f.rules());
        Answer.Maker out = new Answer.Maker().findings(row.findings(), f.shown());
        out.line(
                "Pitch",
                f.fine(row.pitch()),
                "(last − first) / whole spaces",
                "(" + f.figure(f.length("last")) + " − " + f.figure(f.length("first")) + ") / " + row.spaces() + " = "
                        + f.figure(row.pitch()),
                f.source(RuleKey.PITCH_LEAST),
                "%.1f D. At least %s D."
                        .formatted(
                                row.pitch().per(d),
                                f.rules().rule(RuleKey.PITCH_LEAST).value()));
        out.line("Holes", Integer.toString(row.stations().size()), "spaces + 1", row.spaces() + " + 1", "this row", "");
        out.note(Level.NOTE, "Lay every station off from one end, not from hole to hole: no error adds up.");
        out.heads("Hole", "inch", "nearest 1/64", "mm");
        for (int i = 0; i < row.stations().size() && i < 500; i++) {
            Length s = row.stations().get(i);
            out.row(
                    Integer.toString(i + 1),
                    LengthFormat.figure(s, Unit.INCH, 3),
                    LengthFormat.fraction(s),
                    LengthFormat.figure(s, Unit.MM, 3));
        }
        return out.answer(picture(f, row, d));
    }

    private static Picture.Panel picture(Figures f, RowLayout row, Length d) {
        Picture.Pen pen = new Picture.Pen();
        double from = Math.min(
                row.stations().getFirst().nanometres(), row.stations().getLast().nanometres());
        double to = Math.max(
                row.stations().getFirst().nanometres(), row.stations().getLast().nanometres());
        double left = Math.min(0, from);
        double high = (to - left) * 0.05;
        pen.box(Picture.Ink.METAL, left, -high, to + (to - left) * 0.02, high);
        List<Picture.Tick> ticks = new ArrayList<>();
        ticks.add(new Picture.Tick(0, "0", Picture.Ink.EDGE));
        int every = Math.max(1, (row.stations().size() + 39) / 40);
        // Of a very long row not every hole can be seen; every station is in the table.
        int step = Math.max(1, row.stations().size() / 600);
        for (int i = 0; i < row.stations().size(); i += step) {
            double x = row.stations().get(i).nanometres();
            pen.round(Picture.Ink.BLUE, x, 0, Math.max(d.nanometres() / 2, high * 0.22));
            if (i % every == 0 || i == row.stations().size() - 1) {
                ticks.add(new Picture.Tick(x, f.figure(row.stations().get(i)), Picture.Ink.TANGENT));
            }
        }
        pen.add(new Picture.Running(high, true, ticks));
        return pen.panel("The row, running from one end (" + f.shown().symbol() + ")", 1);
    }
}
