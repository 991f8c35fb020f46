package bucina.core.demo;

import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.plan.Bar;
import bucina.core.plan.Build;
import bucina.core.plan.Can;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Packed;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Standing;
import bucina.core.plan.Workshop;
import bucina.core.stores.Balance;
import bucina.core.stores.LongStock;
import bucina.core.stores.TakeIn;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The kit's packing list as it was held against the crates, and where the rivets lie. */
final class DunlinStores {

    private static final Length DOUBLER = Length.in(.063);

    /** What the kit has by designation, as the list has it. */
    private static final Map<String, Integer> KIT = Map.ofEntries(
            Map.entry("MS20426AD3-3.5", 560),
            Map.entry("MS20426AD3-4", 20),
            Map.entry("MS20426AD3-4.5", 25),
            Map.entry("MS20426AD3-5", 10),
            Map.entry("MS20426AD4-4", 5),
            Map.entry("MS20470AD3-3.5", 40),
            Map.entry("MS20470AD3-4", 25),
            Map.entry("MS20470AD3-4.5", 10),
            Map.entry("MS20470AD4-5", 48),
            Map.entry("MS20470AD4-6", 25),
            Map.entry("MS27039-0806", 10),
            Map.entry("AN4-6A", 6));

    private static final String ANGLE = "Angle 3/4 x 3/4";

    private DunlinStores() {}

    /** The build with its crates checked: a strip is missing, screws are short, a doubler has the wrong gauge. */
    static Build stocked(Build build) {
        Build next = TakeIn.list(build, lines(build));
        PartStates states = PartStates.of(next);
        for (Packed line : next.workshop().packing()) {
            Packed.Found found = found(line, build);
            next = found.equals(Packed.Found.NOT_YET) ? next : TakeIn.found(next, states, line.id(), found);
        }
        next = Balance.with(next, "MS20426AD3-3.5", i -> i.kept("drawer 1", 100));
        next = Balance.with(next, "MS20470AD4-5", i -> i.kept("drawer 4", 100));
        next = Balance.with(next, "AN4-6A", i -> i.kept("bolt box", 1));
        next = Balance.with(next, "nut tension-lock 1/4-28", i -> i.withKit(6).kept("bolt box", 1));
        next = Balance.with(
                next, "washer regular for 1/4-28", i -> i.withKit(20).kept("bolt box", 1));
        return cans(bars(next.withStock(Map.of("cleco 3/32", 120, "cleco 1/8", 40))));
    }

    /** Angle and strip in the rack; a bar of angle has the wrong gauge, a spar cap is cut already. */
    private static Build bars(Build build) {
        Optional<Length> angle = Optional.of(Length.in(.062));
        Build next = LongStock.with(build, ANGLE, Length.in(72), 2, angle, "rack");
        next = LongStock.with(next, ANGLE, Length.in(48), 1, Optional.of(Length.in(.094)), "rack");
        next = LongStock.with(next, "Strip 1 in", Length.in(36), 1, Optional.of(Length.in(.032)), "rack");
        Bar first = next.workshop().bars().getFirst();
        KeptSum list = next.workshop().sums().stream()
                .filter(s -> s.kind().equals("cut"))
                .findFirst()
                .orElseThrow();
        return LongStock.cut(
                next,
                first.id(),
                List.of(new Bar.Cut(
                        list.id(), "spar cap", Length.in(36.06), Length.in(.06), LocalDate.of(2026, 11, 14))));
    }

    private static Build cans(Build build) {
        long id = build.nextId();
        Workshop shop = build.workshop()
                .with(new Can(
                        new Id.Can(id),
                        "Two-part epoxy primer",
                        Compound.Kind.PRIMER,
                        "1 qt",
                        Optional.of(LocalDate.of(2027, 9, 30)),
                        Optional.empty(),
                        "steel cupboard",
                        Optional.empty()))
                .with(new Can(
                        new Id.Can(id + 1),
                        "Two-part wash primer",
                        Compound.Kind.PRIMER,
                        "1/2 pt",
                        Optional.of(LocalDate.of(2026, 10, 31)),
                        Optional.empty(),
                        "steel cupboard",
                        Optional.empty()))
                .with(new Can(
                        new Id.Can(id + 2),
                        "Sealant class B-2, premixed",
                        Compound.Kind.SEALANT,
                        "cartridge, 2.5 oz",
                        Optional.of(LocalDate.of(2027, 1, 15)),
                        Optional.of(new Can.Frozen(20, 120, Optional.empty())),
                        "freezer",
                        Optional.empty()));
        return build.withWorkshop(shop, id + 3);
    }

    private static List<TakeIn.Line> lines(Build build) {
        List<TakeIn.Line> lines = new ArrayList<>();
        for (Part part : build.parts()) {
            Particulars said = part.particulars();
            if (!said.number().isEmpty()) {
                lines.add(new TakeIn.Line(
                        said.number(),
                        part.name(),
                        1,
                        part.kind() == Part.Kind.SKIN ? "crate 1" : "crate 2",
                        said.called(),
                        Optional.empty()));
            }
        }
        lines.add(new TakeIn.Line("DS-141", "Trim horn doubler", 1, "crate 2", Optional.of(DOUBLER), Optional.empty()));
        lines.add(new TakeIn.Line("DS-142", "Gust lock plate", 1, "crate 3", Optional.empty(), Optional.empty()));
        KIT.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> lines.add(new TakeIn.Line(
                        e.getKey(),
                        "",
                        e.getValue(),
                        "bag " + e.getKey().length() % 3,
                        Optional.empty(),
                        Optional.empty())));
        return lines;
    }

    private static Packed.Found found(Packed line, Build build) {
        Packed.Found none = Packed.Found.NOT_YET;
        return switch (line.title()) {
            case "Trailing edge strip" -> none.counted(0);
            case "Main spar" -> none.counted(1).measured(Length.in(.0625));
            case "Trim horn doubler" -> none.counted(1).measured(Length.in(.050));
            case "Gust lock plate" -> none;
            case "MS27039-0806" -> none.counted(6);
            default -> {
                boolean away = build.parts().stream()
                        .anyMatch(p -> p.name().equals(line.name()) && p.standing() == Standing.CRATE);
                yield away ? none : none.counted(line.count());
            }
        };
    }
}
