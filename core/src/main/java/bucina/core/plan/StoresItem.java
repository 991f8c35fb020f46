package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * One kind of hardware in the stores: what came with the kit, what was bought, where it lies.
 *
 * @param id          its id
 * @param designation in the one spelling, not blank
 * @param kit         how many came with the kit, 0 to {@link #MOST}
 * @param bought      each time some were bought, earliest first
 * @param bin         where it lies; may be empty
 * @param pack        how many are sold together, 1 to {@link #MOST}
 */
public record StoresItem(Id.Item id, String designation, int kit, List<Bought> bought, String bin, int pack)
        implements Kept {

    /** The largest count. */
    public static final int MOST = 1_000_000;

    /**
     * Some that were bought.
     *
     * @param day   when they came
     * @param count over 0, up to {@link #MOST}
     * @param from  whom; may be empty
     */
    public record Bought(LocalDate day, int count, String from) {
        public Bought {
            Objects.requireNonNull(day, "day");
            if (count < 1 || count > MOST) {
                throw new InputException("what is bought counts 1 to " + MOST + ", such as 100, was " + count);
            }
            Names.text("whom it was bought from", from);
        }
    }

    public StoresItem {
        Objects.requireNonNull(id, "id");
        Names.check("a thing in the stores", designation);
        bought = List.copyOf(bought);
        Names.text("a bin", bin);
        if (kit < 0 || kit > MOST || pack < 1 || pack > MOST) {
            throw new InputException(designation + " came 0 to " + MOST + " in the kit and is sold by 1 to " + MOST
                    + ", such as 420 and 100; were " + kit + " and " + pack);
        }
        if (bought.stream().mapToLong(Bought::count).sum() + kit > MOST) {
            throw new InputException("of " + designation + " there are at most " + MOST + ", kit and bought together");
        }
    }

    /** How many were bought. */
    public int boughtInAll() {
        return bought.stream().mapToInt(Bought::count).sum();
    }

    /** The same with another count from the kit. */
    public StoresItem withKit(int count) {
        return new StoresItem(id, designation, count, bought, bin, pack);
    }

    /** The same with some more bought. */
    public StoresItem with(Bought more) {
        List<Bought> all = new ArrayList<>(bought);
        all.add(more);
        return new StoresItem(id, designation, kit, all, bin, pack);
    }

    /** The same lying elsewhere and sold otherwise. */
    public StoresItem kept(String otherBin, int otherPack) {
        return new StoresItem(id, designation, kit, bought, otherBin, otherPack);
    }

    /** Put down on two benches: it is the same kit, and what each bought was bought. */
    public StoresItem together(StoresItem other) {
        List<Bought> all = new ArrayList<>(bought);
        other.bought.stream().filter(b -> !bought.contains(b)).forEach(all::add);
        return new StoresItem(
                id,
                designation,
                Math.max(kit, other.kit),
                all,
                bin.isBlank() ? other.bin : bin,
                Math.max(pack, other.pack));
    }

    @Override
    public String called() {
        return designation + " in the stores";
    }
}
