package bucina.core.edit;

import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Changes of what a build is made of: assemblies and their faces. */
public final class AssemblyEdits {

    private AssemblyEdits() {}

    /** The build with an assembly changed. */
    public static Build assembly(Build build, Id.Assembly id, UnaryOperator<Assembly> change) {
        there(build, id);
        return build.withAssemblies(
                build.assemblies().stream()
                        .map(a -> a.id().equals(id) ? change.apply(a) : a)
                        .toList(),
                build.nextId());
    }

    private static Assembly there(Build build, Id.Assembly id) {
        return build.assemblies().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow(
                        () -> new InputException("that assembly is no longer in the build: undo, or make it again"));
    }

    /** The build with an empty assembly more; its id is the build's next. */
    public static Build add(Build build, String name, Hand hand, Unit unit) {
        List<Assembly> assemblies = new ArrayList<>(build.assemblies());
        assemblies.add(new Assembly(new Id.Assembly(build.nextId()), name, hand, unit, List.of(), List.of()));
        return build.withAssemblies(assemblies, build.nextId() + 1);
    }

    /** The build with an empty face more in an assembly; its id is the build's next. */
    public static Build addFace(Build build, Id.Assembly to, String name, String viewed, String x, String y) {
        free(there(build, to), name);
        Face face = new Face(new Id.Face(build.nextId()), name, viewed, x, y, List.of(), List.of());
        return assembly(build, to, a -> a.withFaces(plus(a.faces(), face))).withNextId(build.nextId() + 1);
    }

    private static void free(Assembly assembly, String name) {
        if (assembly.faces().stream().anyMatch(f -> f.name().equalsIgnoreCase(name))) {
            throw new InputException("assembly " + assembly.name() + " has a face " + name
                    + " already: give this one another name, such as " + name + " 2");
        }
    }

    private static List<Face> plus(List<Face> faces, Face face) {
        List<Face> more = new ArrayList<>(faces);
        more.add(face);
        return more;
    }

    /** The build with a face under another name, seen from elsewhere. */
    public static Build face(Build build, Id.Face id, String name, String viewed, String x, String y) {
        Assembly in = of(build, id);
        Face face = Edit.face(build, id);
        if (!face.name().equalsIgnoreCase(name)) {
            free(in, name);
        }
        return Edit.face(build, id, f -> f.as(name, viewed, x, y));
    }

    private static Assembly of(Build build, Id.Face id) {
        return build.face(id)
                .map(Build.FaceRef::assembly)
                .orElseThrow(() -> new InputException("that face is no longer in the build: undo, or make it again"));
    }

    /**
     * The build with a face moved to another assembly. An assembly that has no face left stays.
     *
     * @throws InputException if there is a face of its name, or either follows the other hand
     */
    public static Build move(Build build, Id.Face id, Id.Assembly to) {
        Assembly from = of(build, id);
        Assembly target = there(build, to);
        if (from.id().equals(to)) {
            return build;
        }
        Face face = Edit.face(build, id);
        free(target, face.name());
        if (from.twin().isPresent() || target.twin().isPresent()) {
            throw new InputException(face.name() + " cannot be moved: an assembly that follows the other hand has the "
                    + "faces of its first hand; move it there");
        }
        Build out = assembly(build, from.id(), a -> a.withFaces(without(a.faces(), id)));
        return assembly(out, to, a -> a.withFaces(plus(a.faces(), face)));
    }

    private static List<Face> without(List<Face> faces, Id.Face id) {
        return faces.stream().filter(f -> !f.id().equals(id)).toList();
    }

    /** The build with a face earlier or later among those of its assembly. */
    public static Build order(Build build, Id.Face id, boolean earlier) {
        return assembly(build, of(build, id).id(), a -> a.withFaces(moved(a.faces(), place(a.faces(), id), earlier)));
    }

    private static int place(List<Face> faces, Id.Face id) {
        return faces.stream().map(Face::id).toList().indexOf(id);
    }

    /** The build with an assembly earlier or later. */
    public static Build order(Build build, Id.Assembly id, boolean earlier) {
        there(build, id);
        int at = build.assemblies().stream().map(Assembly::id).toList().indexOf(id);
        return build.withAssemblies(moved(build.assemblies(), at, earlier), build.nextId());
    }

    private static <T> List<T> moved(List<T> all, int at, boolean earlier) {
        int to = earlier ? at - 1 : at + 1;
        if (to < 0 || to >= all.size()) {
            throw new InputException("it is the " + (earlier ? "first" : "last") + " already");
        }
        List<T> next = new ArrayList<>(all);
        next.add(to, next.remove(at));
        return next;
    }

    /** The build without a face; parts that lie nowhere else and of which nothing is said go with it. */
    public static Build drop(Build build, Id.Face id) {
        Assembly in = of(build, id);
        Set<Id.Part> lost = parts(List.of(Edit.face(build, id)));
        return swept(assembly(build, in.id(), a -> a.withFaces(without(a.faces(), id))), lost);
    }

    /** The build without an assembly and its faces, likewise. */
    public static Build drop(Build build, Id.Assembly id) {
        Assembly gone = there(build, id);
        build.assemblies().stream()
                .filter(a -> a.twin().filter(t -> t.of().equals(id)).isPresent())
                .findFirst()
                .ifPresent(a -> {
                    throw new InputException("assembly " + a.name() + " follows " + gone.name()
                            + ": delete that one first, or it would follow nothing");
                });
        List<Assembly> left =
                build.assemblies().stream().filter(a -> !a.id().equals(id)).toList();
        return swept(build.withAssemblies(left, build.nextId()), parts(gone.faces()));
    }

    private static Set<Id.Part> parts(List<Face> faces) {
        return faces.stream().flatMap(f -> f.layers().stream()).map(Layer::part).collect(Collectors.toSet());
    }

    private static Build swept(Build build, Set<Id.Part> lost) {
        Build next = build;
        for (Id.Part id : lost) {
            Part part = next.part(id);
            boolean bare = part.particulars().equals(Particulars.NONE);
            boolean used = next.faces().stream()
                    .flatMap(f -> f.face().layers().stream())
                    .anyMatch(l -> l.part().equals(id));
            next = bare && !used ? dropped(next, id) : next;
        }
        return next.checked();
    }

    private static Build dropped(Build build, Id.Part id) {
        try {
            return PartEdits.drop(build, id);
        } catch (InputException e) {
            // A kept sum or a job names it: it stays in the list of parts.
            return build;
        }
    }

    /** A hand as people write it: {@code left}, {@code right}, {@code none}. */
    public static Hand hand(String text) {
        return switch (text.strip().toLowerCase(Locale.ROOT)) {
            case "left", "l", "lh" -> Hand.LEFT;
            case "right", "r", "rh" -> Hand.RIGHT;
            case "none", "no hand", "" -> Hand.NONE;
            default ->
                throw new InputException("hand \"" + text.strip() + "\" is not known: write left, right or none");
        };
    }
}
