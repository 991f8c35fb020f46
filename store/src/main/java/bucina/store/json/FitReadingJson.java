package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.measure.Length;
import bucina.core.plan.FitReading;
import bucina.core.plan.Id;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.time.Instant;

/** Readings of assemblies as JSON trees and back: lengths in mm, angles in degrees. */
final class FitReadingJson {

    static final Kind<FitReading> KIND = new Kind<>(
            FitReading.class,
            Kind.On.WORKSHOP,
            "readings",
            "fit_reading",
            false,
            FitReadingJson::write,
            FitReadingJson::read);

    private FitReadingJson() {}

    /** A reading of an assembly: lengths in mm, angles in degrees. */
    static ObjectNode write(FitReading r) {
        return NODES.objectNode()
                .put("id", r.id().n())
                .put("face", r.face().n())
                .put("kind", r.kind().code())
                .put("after", r.after())
                .put("at", r.at().toString())
                .set(
                        "values",
                        array(
                                r.values(),
                                v -> NODES.numberNode(r.kind().angle() ? BigDecimal.valueOf(v) : Mm.of(Length.nm(v)))));
    }

    static FitReading read(At at) {
        at.only("id", "face", "kind", "after", "at", "values");
        FitReading.Kind kind = at.get("kind").word(FitReading.Kind.values(), FitReading.Kind::code);
        return at.make(() -> new FitReading(
                new Id.Fit(at.whole("id")),
                new Id.Face(at.whole("face")),
                kind,
                at.flag("after"),
                at.list("values", v -> kind.angle() ? v.number() : v.nanometres()),
                Instant.parse(at.text("at"))));
    }
}
