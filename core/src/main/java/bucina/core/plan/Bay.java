package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A space that is shut by parts: what is done inside is done before the last of them is on for good.
 *
 * @param id      its id
 * @param name    as people call it, {@code Leading edge bay}; not blank
 * @param closers parts that shut it, each once, at least one
 * @param inside  parts that lie in it or bound it; none for every other part of the assemblies that the closers lie on
 * @param notes   what to remember; may be empty
 * @param photos  photographs asked for before it is shut, in words
 * @param loose   things counted out before it is shut, such as drillings; mandrels are counted without being named
 * @param opened  when the last close-out was entered that holds no more, for a part that closes it was taken off since;
 *     empty while none was
 */
public record Bay(
        Id.Bay id,
        String name,
        List<Id.Part> closers,
        Set<Id.Part> inside,
        String notes,
        List<String> photos,
        List<String> loose,
        Optional<Instant> opened)
        implements Kept {

    private static final int LONGEST = 4000;

    /** A bay of which nothing more is asked. */
    public Bay(Id.Bay id, String name, List<Id.Part> closers, Set<Id.Part> inside, String notes) {
        this(id, name, closers, inside, notes, List.of(), List.of(), Optional.empty());
    }

    public Bay {
        photos = List.copyOf(photos);
        loose = List.copyOf(loose);
        photos.forEach(p -> Names.check("a photograph asked for", p));
        loose.forEach(l -> Names.check("a thing counted out", l));
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(opened, "opened");
        Names.check("a bay", name);
        closers = List.copyOf(new LinkedHashSet<>(closers));
        inside = Set.copyOf(inside);
        if (closers.isEmpty()) {
            throw new InputException("bay " + name + " needs a part that closes it, such as the lid");
        }
        if (closers.stream().anyMatch(inside::contains)) {
            throw new InputException("a part that closes bay " + name + " does not lie inside it as well");
        }
        if (notes.length() > LONGEST) {
            throw new InputException(
                    "the notes of a bay have up to " + LONGEST + " characters, were " + notes.length());
        }
    }

    /** This bay with one part in the place of another. */
    public Bay renamed(Id.Part second, Id.Part first) {
        List<Id.Part> shutting = new ArrayList<>(closers);
        shutting.replaceAll(p -> p.equals(second) ? first : p);
        Set<Id.Part> lying = new LinkedHashSet<>(inside);
        if (lying.remove(second)) {
            lying.add(first);
        }
        shutting.forEach(lying::remove);
        return new Bay(id, name, shutting, lying, notes, photos, loose, opened);
    }

    /** This bay with a part that closes it taken off: close-outs entered until then hold no more. */
    public Bay opened(Instant last) {
        return new Bay(id, name, closers, inside, notes, photos, loose, Optional.of(last));
    }

    @Override
    public List<Id.Part> parts() {
        return Stream.concat(closers.stream(), inside.stream()).toList();
    }

    @Override
    public String called() {
        return "bay " + name;
    }
}
