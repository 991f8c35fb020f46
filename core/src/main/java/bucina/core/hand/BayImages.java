package bucina.core.hand;

import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.RunThrough;
import bucina.core.plan.Workshop;
import java.util.Collection;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Bays on the other hand. */
final class BayImages {

    private final Mirror mirror;

    BayImages(Mirror mirror) {
        this.mirror = mirror;
    }

    /**
     * Bays whose parts all have their like on this hand now come again, closed by those, with what is
     * measured and what runs through there.
     */
    Workshop of(Build build) {
        Workshop shop = build.workshop();
        for (Bay bay : build.workshop().bays()) {
            boolean all = Stream.of(bay.closers(), bay.inside())
                    .flatMap(Collection::stream)
                    .allMatch(mirror::paired);
            if (all) {
                Id.Bay id = new Id.Bay(mirror.free());
                shop = shop.with(new Bay(
                        id,
                        Mirror.otherName(bay.name(), mirror.hand()),
                        bay.closers().stream().map(mirror::like).toList(),
                        bay.inside().stream().map(mirror::like).collect(Collectors.toSet()),
                        bay.notes(),
                        bay.photos(),
                        bay.loose(),
                        Optional.empty()));
                shop = asked(shop, bay.id(), id);
            }
        }
        return shop;
    }

    /** What is measured in a bay, and what runs through its parts, for the bay on this hand. */
    private Workshop asked(Workshop shop, Id.Bay first, Id.Bay second) {
        Workshop now = shop;
        for (Gaging g : shop.gagings()) {
            if (g.bay().filter(first::equals).isPresent()) {
                now = now.with(new Gaging(
                        new Id.Gaging(mirror.free()),
                        Mirror.otherName(g.name(), mirror.hand()),
                        g.kind(),
                        g.unit(),
                        g.wanted(),
                        g.least(),
                        g.most(),
                        Optional.of(second),
                        g.notes()));
            }
        }
        for (RunThrough r : shop.runs()) {
            boolean here = r.bay().filter(first::equals).isPresent();
            if (here && r.stations().stream().allMatch(s -> mirror.paired(s.part()))) {
                now = now.with(new RunThrough(
                        new Id.Run(mirror.free()),
                        Mirror.otherName(r.name(), mirror.hand()),
                        r.kind(),
                        r.size(),
                        r.hand() == Hand.NONE ? Hand.NONE : mirror.hand(),
                        Optional.of(second),
                        r.stations().stream().map(this::station).toList(),
                        r.ends(),
                        false,
                        r.crosses()));
            }
        }
        return now;
    }

    /** The same station on this hand, its bushing still to be fitted. */
    private RunThrough.Station station(RunThrough.Station first) {
        return new RunThrough.Station(
                mirror.like(first.part()),
                first.hole(),
                first.bushing(),
                first.bushing().isEmpty());
    }
}
