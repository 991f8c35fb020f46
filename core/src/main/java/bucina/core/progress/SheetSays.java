package bucina.core.progress;

import bucina.core.dress.Dress;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What is done to the holes of one sheet, and from which side. */
public final class SheetSays {

    private SheetSays() {}

    /** In sentences: how its holes come, and on which side how many are countersunk or dimpled. */
    public static List<String> of(FaceReading face, Id.Layer id) {
        Layer sheet = face.face().layers().stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElse(null);
        if (sheet == null) {
            return List.of();
        }
        Map<String, Integer> dressed = new LinkedHashMap<>();
        int holes = 0;
        for (HoleReading hole : face.readings()) {
            int i = hole.layers().indexOf(sheet);
            if (i < 0) {
                continue;
            }
            holes++;
            var plies = hole.solution().dressing().plies();
            Dress dress = i < plies.size() ? plies.get(i).dress() : Dress.PLAIN;
            String side = hole.group().headFar() ? "far" : "near";
            if (dress == Dress.COUNTERSINK) {
                dressed.merge("countersunk on the " + side + " side", 1, Integer::sum);
            } else if (dress == Dress.DIMPLE) {
                dressed.merge("dimpled in from the " + side + " side", 1, Integer::sum);
            }
        }
        List<String> words = new ArrayList<>();
        words.add(sheet.name() + ": " + holes + (holes == 1 ? " hole" : " holes") + ", come "
                + sheet.holes().come().state().word() + ".");
        face.readings().stream()
                .filter(r -> r.layers().contains(sheet)
                        && sheet.holes().rows().containsKey(r.row().id()))
                .map(HoleReading::row)
                .distinct()
                .forEach(r -> words.add(
                        r.name() + " comes " + sheet.holes().of(r.id()).state().word() + "."));
        dressed.forEach((word, n) -> words.add(n + " " + word + "."));
        return words;
    }
}
