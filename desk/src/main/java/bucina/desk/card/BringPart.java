package bucina.desk.card;

import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.desk.look.Fields;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;

/** Which part the sheets of a drawing are of: parts of their own, or one that is there already. */
final class BringPart {

    private final ComboBox<Optional<Part>> box;

    BringPart(Fields fields, Build build) {
        List<Optional<Part>> parts = new ArrayList<>(List.of(Optional.empty()));
        build.parts().forEach(p -> parts.add(Optional.of(p)));
        box = fields.choice(
                "Its sheets are of",
                parts,
                parts.getFirst(),
                p -> p.map(Part::name).orElse("parts of their own"),
                "bring-part",
                p -> {});
    }

    /** The part chosen; empty for parts of their own. */
    Optional<Id.Part> chosen() {
        return Optional.ofNullable(box.getValue()).flatMap(p -> p).map(Part::id);
    }
}
