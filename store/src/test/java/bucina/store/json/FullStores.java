package bucina.store.json;

import bucina.core.measure.Length;
import bucina.core.plan.Bar;
import bucina.core.plan.Can;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import bucina.core.plan.StoresItem;
import bucina.core.plan.Weighing;
import bucina.core.plan.Workshop;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Everything that lies in the stores, for {@link FullBuild}. */
final class FullStores {

    private FullStores() {}

    static Workshop stored(Workshop shop, long free) {
        return shop.with(new StoresItem(
                        new Id.Item(free),
                        "MS20426AD3-3.5",
                        420,
                        List.of(new StoresItem.Bought(LocalDate.of(2026, 11, 20), 100, "the corner shop")),
                        "drawer 3",
                        100))
                .with(new Packed(
                        new Id.Packed(free + 1),
                        "DS-104",
                        "Rear spar",
                        2,
                        "crate 1",
                        Optional.of(Length.in(.032)),
                        Optional.of(Length.in(58.25)),
                        new Packed.Found(
                                Optional.of(1),
                                Optional.of(Length.in(.0315)),
                                Optional.of(Length.in(58.2)),
                                Optional.of(Length.in(4.1)),
                                "Rear spar doubler",
                                "crate 3")))
                .with(new Packed(
                        new Id.Packed(free + 2),
                        "",
                        "Rib skin",
                        1,
                        "",
                        Optional.empty(),
                        Optional.empty(),
                        Packed.Found.NOT_YET));
    }

    static Workshop shelved(Workshop shop, long free, Id.Assembly assembly) {
        LocalDate day = LocalDate.of(2026, 11, 29);
        return shop.withBars(List.of(
                        new Bar(
                                new Id.Bar(free),
                                "Angle 3/4 x 3/4",
                                Length.in(72),
                                Optional.of(Length.in(.062)),
                                "rack",
                                List.of(new Bar.Cut(
                                        new Id.Sum(1), "rib stiffener", Length.in(24), Length.in(.06), day))),
                        new Bar(new Id.Bar(free + 1), "Strip", Length.in(36), Optional.empty(), "", List.of())))
                .with(new Can(
                        new Id.Can(free + 2),
                        "Epoxy primer",
                        Compound.Kind.PRIMER,
                        "1 qt",
                        Optional.of(day),
                        Optional.empty(),
                        "cupboard",
                        Optional.of(day)))
                .with(new Can(
                        new Id.Can(free + 3),
                        "Sealant",
                        Compound.Kind.SEALANT,
                        "",
                        Optional.empty(),
                        Optional.of(new Can.Frozen(20, 120, Optional.of(Instant.parse("2026-11-29T10:00:00Z")))),
                        "",
                        Optional.empty()))
                .with(new Weighing(new Id.Weighing(free + 4), assembly, 4210.5, day, "balance weight"));
    }
}
