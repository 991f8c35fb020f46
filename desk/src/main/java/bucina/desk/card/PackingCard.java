package bucina.desk.card;

import bucina.core.measure.Sentence;
import bucina.core.plan.Build;
import bucina.core.stores.CheckIn;
import bucina.core.stores.TakeIn;
import bucina.desk.session.Desk;
import bucina.store.table.PackingTable;
import java.util.ArrayList;
import java.util.List;

/** Takes the kit's packing list in: says which column was taken for what, and where list and plan differ. */
public final class PackingCard extends TableCard {

    private static final int SHOWN = 5;

    private final Desk desk;

    public PackingCard(Desk desk, Runnable done) {
        super(desk, done, "packing");
        this.desk = desk;
        setId("packing-card");
        lay(
                "The kit's packing list",
                "Paste it from a spreadsheet, open a CSV file, or type it. A line of headings says what is where: a"
                        + " number or a name and a quantity; where the list has them, gauge, length and crate. Rivets"
                        + " and bolts are known by their designation and counted as what the kit has.",
                "part no, description, qty, gauge, crate\nDS-104, Rear spar, 1, .040, crate 1\nMS20426AD3-3.5, Rivet,"
                        + " 420, , bag 3");
    }

    @Override
    String read(String table) {
        PackingTable.Reading read = read(table, desk);
        Build after = TakeIn.list(desk.session().snapshot().build(), read.lines());
        List<String> said = new ArrayList<>();
        said.add(read.lines().size() + (read.lines().size() == 1 ? " line: " : " lines: ")
                + String.join(", ", read.understood()) + ".");
        said.addAll(read.notes());
        List<Sentence> differs = new CheckIn(after).differs();
        differs.stream().limit(SHOWN).forEach(s -> said.add(s.in(desk.unit())));
        if (differs.size() > SHOWN) {
            said.add((differs.size() - SHOWN) + " more differences from the plan.");
        }
        return String.join("\n", said);
    }

    private static PackingTable.Reading read(String table, Desk desk) {
        return PackingTable.read(table, desk.unit(), desk.session().catalogue().drills());
    }

    @Override
    boolean changes() {
        return true;
    }

    @Override
    Build taken(Build build, String table) {
        return TakeIn.list(build, read(table, desk).lines());
    }

    @Override
    String words() {
        return "taking the packing list in";
    }
}
