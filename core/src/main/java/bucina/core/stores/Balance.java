package bucina.core.stores;

import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.StoresItem;
import bucina.core.spare.Spare;
import bucina.core.stack.Derivation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * Hardware by designation: in the kit, bought, used, rejected, still needed, left. Follows from plan and log alone.
 *
 * @param items by designation
 */
public record Balance(List<Item> items) {

    /**
     * One designation.
     *
     * @param kept     as it was put down; empty for what plan or log name and nobody counted
     * @param used     sound ones that are in
     * @param rejected that came out again, or are not sound
     * @param needed   still to be set by the plan
     */
    public record Item(String designation, Optional<StoresItem> kept, int used, int rejected, int needed) {

        /** How many came with the kit; 0 where nobody counted. */
        public int kit() {
            return kept.map(StoresItem::kit).orElse(0);
        }

        /** How many were bought. */
        public int bought() {
            return kept.map(StoresItem::boughtInAll).orElse(0);
        }

        /** How many were driven, good and rejected. */
        public int driven() {
            return used + rejected;
        }

        /** How many should be there; below 0 where more went in than anybody counted. */
        public int left() {
            return kit() + bought() - used - rejected;
        }

        /** How many of those there can be used. */
        public int onHand() {
            return Math.max(0, left());
        }

        /** How many are wanting for what is still to be set, without a spare. */
        public int lacking() {
            return Math.max(0, needed - onHand());
        }

        /** Where it lies; may be empty. */
        public String bin() {
            return kept.map(StoresItem::bin).orElse("");
        }

        /** How many are sold together. */
        public int pack() {
            return kept.map(StoresItem::pack).orElse(1);
        }

        /** What to order, with its spare. */
        public Spare spare() {
            return Spare.of(needed, driven(), rejected, onHand(), pack());
        }
    }

    public Balance {
        items = List.copyOf(items);
    }

    /** Of a build and its log. */
    public static Balance of(Derivation derivation, Logbook log) {
        return of(derivation, log, f -> true);
    }

    /**
     * Of a build and its log, with what is still needed on some faces only.
     *
     * @param wanted faces whose open holes count
     */
    public static Balance of(Derivation derivation, Logbook log, Predicate<Build.FaceRef> wanted) {
        Counts counts = new Counts();
        new Needs(derivation, log, wanted).count(counts);
        new Consumption(derivation, log).count(counts);
        Map<String, StoresItem> kept = new TreeMap<>();
        derivation.build().workshop().stores().forEach(i -> {
            kept.merge(Names.key(i.designation()), i, StoresItem::together);
            counts.named(i.designation());
        });
        List<Item> items = new ArrayList<>();
        counts.each((key, name, count) -> items.add(new Item(
                Optional.ofNullable(kept.get(key)).map(StoresItem::designation).orElse(name),
                Optional.ofNullable(kept.get(key)),
                count.used,
                count.rejected,
                count.needed)));
        items.sort(Comparator.comparing(Item::designation));
        return new Balance(items);
    }

    /** The item of a designation, however it is spelled; empty if nothing names it. */
    public Optional<Item> of(String designation) {
        String key = Names.key(designation);
        return items.stream()
                .filter(i -> Names.key(i.designation()).equals(key))
                .findFirst();
    }

    /** What is put down of a designation, on one bench or two; empty if nobody counted it. */
    public static Optional<StoresItem> kept(Build build, String designation) {
        String key = Names.key(designation);
        return build.workshop().stores().stream()
                .filter(i -> Names.key(i.designation()).equals(key))
                .reduce(StoresItem::together);
    }

    /** The build with a designation put down, or changed where it is already; what two benches put down is one then. */
    public static Build with(Build build, String designation, UnaryOperator<StoresItem> change) {
        String key = Names.key(designation);
        StoresItem is = change.apply(kept(build, designation)
                .orElseGet(() ->
                        new StoresItem(new Id.Item(build.nextId()), Names.one(designation), 0, List.of(), "", 1)));
        List<StoresItem> items = new ArrayList<>();
        boolean there = false;
        for (StoresItem item : build.workshop().stores()) {
            boolean same = Names.key(item.designation()).equals(key);
            if (!same || !there) {
                items.add(same ? is : item);
            }
            there |= same;
        }
        if (!there) {
            items.add(is);
        }
        return build.withWorkshop(
                build.workshop().withStores(items),
                Math.max(build.nextId(), is.id().n() + 1));
    }
}
