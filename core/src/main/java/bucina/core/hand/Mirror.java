package bucina.core.hand;

import bucina.core.measure.InputException;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Twin;
import bucina.core.plan.Workshop;
import bucina.core.plan.Zone;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Makes the mirror image of an assembly. */
public final class Mirror {

    private static final Map<String, String> OPPOSITE =
            opposites("outboard", "inboard", "left", "right", "starboard", "port", "Left", "Right");
    private static final Pattern SIDE = Pattern.compile("\\b([Ll]eft|[Rr]ight|LEFT|RIGHT)\\b");

    private final Map<Long, Long> pairs = new LinkedHashMap<>();
    private final Hand hand;
    private long next;

    private Mirror(Hand hand, long next) {
        this.hand = hand;
        this.next = next;
    }

    private static Map<String, String> opposites(String... words) {
        Map<String, String> map = new HashMap<>();
        for (int i = 0; i < words.length; i += 2) {
            map.put(words[i], words[i + 1]);
            map.put(words[i + 1], words[i]);
        }
        return map;
    }

    /**
     * The build with the other hand of an assembly added: new parts, none in place yet, and every face as its mirror
     * image.
     *
     * @throws InputException if the assembly has no hand, or has its other hand in the build already
     */
    public static Build add(Build build, Id.Assembly id) {
        Assembly first = checkAdd(build, id);
        Mirror mirror = new Mirror(other(first.hand()), build.nextId());
        List<Part> parts = new ArrayList<>(build.parts());
        parts.addAll(mirror.parts(build, first));
        List<Assembly> assemblies = new ArrayList<>(build.assemblies());
        assemblies.add(mirror.assembly(first));
        Workshop shop = new BayImages(mirror).of(build);
        return build.withParts(parts, mirror.next)
                .withAssemblies(assemblies, mirror.next)
                .withWorkshop(shop, mirror.next)
                .checked();
    }

    private static Assembly checkAdd(Build build, Id.Assembly id) {
        Assembly first = build.assemblies().stream()
                .filter(a -> a.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException("that assembly is not in the build"));
        if (first.hand() == Hand.NONE) {
            throw new InputException(
                    "assembly " + first.name() + " has no hand, so it has no other hand: call it left or right first");
        }
        if (first.twin().isPresent()
                || build.assemblies().stream()
                        .anyMatch(a -> a.twin().filter(t -> t.of().equals(id)).isPresent())) {
            throw new InputException("assembly " + first.name()
                    + " has its other hand in this build already: bring the two in line instead");
        }
        return first;
    }

    /** An assembly alone as its mirror image, with the same ids: twice gives the assembly back. */
    public static Assembly image(Assembly assembly) {
        Hand other = other(assembly.hand());
        return new Assembly(
                assembly.id(),
                otherName(assembly.name(), other),
                other,
                assembly.unit(),
                assembly.drawings(),
                assembly.faces().stream().map(f -> image(f, other)).toList(),
                assembly.twin());
    }

    static Hand other(Hand hand) {
        return switch (hand) {
            case LEFT -> Hand.RIGHT;
            case RIGHT -> Hand.LEFT;
            case NONE -> Hand.NONE;
        };
    }

    private List<Part> parts(Build build, Assembly first) {
        Set<Id.Part> used = first.faces().stream()
                .flatMap(f -> f.layers().stream())
                .map(Layer::part)
                .collect(Collectors.toSet());
        List<Part> made = new ArrayList<>();
        for (Part part : build.parts()) {
            if (used.contains(part.id())) {
                made.add(part.like(new Id.Part(pair(part.id())), otherName(part.name(), hand)));
            }
        }
        return made;
    }

    /** True if a part has its like on this hand. */
    boolean paired(Id.Part part) {
        return pairs.containsKey(part.n());
    }

    /** The like of a part. */
    Id.Part like(Id.Part part) {
        return new Id.Part(pair(part));
    }

    /** An id that nothing has yet. */
    long free() {
        return next++;
    }

    /** The hand that is made. */
    Hand hand() {
        return hand;
    }

    private long pair(Id id) {
        return pairs.computeIfAbsent(id.n(), n -> next++);
    }

    private Assembly assembly(Assembly first) {
        Id.Assembly id = new Id.Assembly(next++);
        List<Face> faces =
                first.faces().stream().map(f -> renumbered(image(f, hand))).toList();
        return new Assembly(
                        id,
                        otherName(first.name(), hand),
                        hand,
                        first.unit(),
                        first.drawings(),
                        faces,
                        Optional.empty())
                .withTwin(new Twin(first.id(), pairs, List.of()));
    }

    private Face renumbered(Face f) {
        Id.Face id = new Id.Face(pair(f.id()));
        List<Layer> layers = layers(f);
        List<Group> groups = groups(f);
        List<Zone> zones = zones(f);
        return new Face(id, f.name(), f.viewed(), f.xToward(), f.yToward(), layers, groups, zones);
    }

    private List<Zone> zones(Face f) {
        return f.zones().stream()
                .map(z -> new Zone(new Id.Zone(pair(z.id())), z.name(), z.kind(), z.outline(), z.room()))
                .toList();
    }

    private List<Group> groups(Face f) {
        return f.groups().stream()
                .map(g -> new Group(
                        new Id.Group(pair(g.id())),
                        g.code(),
                        g.name(),
                        g.fastener(),
                        g.headFar(),
                        g.preparation(),
                        g.callout(),
                        g.rows().stream().map(this::renumbered).toList(),
                        g.typed(),
                        layers(g.expects()),
                        layers(g.clears()),
                        g.holes().under(layers(g.holes().under())),
                        g.page()))
                .toList();
    }

    private List<Layer> layers(Face f) {
        return f.layers().stream()
                .map(l -> new Layer(
                        new Id.Layer(pair(l.id())),
                        new Id.Part(pair(l.part())),
                        l.name(),
                        l.thickness(),
                        l.outline(),
                        l.flange(),
                        l.holes().renumbered(r -> new Id.Row(pair(r)))))
                .toList();
    }

    private Row renumbered(Row r) {
        return new Row(
                new Id.Row(pair(r.id())),
                r.name(),
                r.nextLabel(),
                r.holes().stream()
                        .map(h -> new Hole(new Id.Hole(pair(h.id())), h.label(), h.at(), h.deviation()))
                        .toList());
    }

    private Set<Id.Layer> layers(Set<Id.Layer> ids) {
        return ids.stream().map(i -> new Id.Layer(pair(i))).collect(Collectors.toSet());
    }

    // ---- geometry

    /** A face as its mirror image, ids kept, named for the other hand. */
    static Face image(Face f, Hand hand) {
        return new Face(
                f.id(),
                otherName(f.name(), hand),
                swapped(f.viewed()),
                toward(f.xToward()),
                swapped(f.yToward()),
                f.layers().stream().map(l -> image(l, hand)).toList(),
                f.groups().stream().map(g -> image(g, hand)).toList(),
                f.zones().stream()
                        .map(z -> new Zone(z.id(), swapped(z.name()), z.kind(), image(z.outline()), z.room()))
                        .toList());
    }

    static Layer image(Layer l, Hand hand) {
        return new Layer(
                l.id(),
                l.part(),
                swapped(l.name()),
                l.thickness(),
                image(l.outline()),
                l.flange()
                        .with(l.bends().stream()
                                .map(b -> new Segment(image(b.a()), image(b.b())))
                                .toList()),
                l.holes()
                        .withUncalled(l.holes().uncalled().stream()
                                .map(u -> new SheetHoles.Uncalled(image(u.at()), u.diameter()))
                                .toList()));
    }

    static Group image(Group g, Hand hand) {
        return new Group(
                g.id(),
                otherCode(g.code(), hand),
                swapped(g.name()),
                g.fastener(),
                g.headFar(),
                g.preparation(),
                g.callout(),
                g.rows().stream().map(Mirror::image).toList(),
                g.typed(),
                g.expects(),
                g.clears(),
                g.holes(),
                g.page());
    }

    private static Row image(Row r) {
        return r.withHoles(r.holes().stream().map(h -> h.to(image(h.at()))).toList());
    }

    static Point image(Point p) {
        return new Point(-p.x(), p.y());
    }

    /** A mirror image runs the other way round, so every arc bends the other way. */
    static Outline image(Outline outline) {
        return new Outline(
                image(outline.outer()),
                outline.openings().stream().map(Mirror::image).toList());
    }

    private static Ring image(Ring ring) {
        return new Ring(ring.corners().stream()
                .map(c -> new Corner(image(c.at()), c.bulge() == 0 ? 0 : -c.bulge()))
                .toList());
    }

    // ---- names

    private static String toward(String word) {
        String opposite = OPPOSITE.get(word);
        if (opposite != null) {
            return opposite;
        }
        return word.startsWith("away from ") ? word.substring("away from ".length()) : "away from " + word;
    }

    private static String swapped(String text) {
        Matcher m = SIDE.matcher(text);
        StringBuilder out = new StringBuilder();
        while (m.find()) {
            String word = m.group();
            String swap = word.equalsIgnoreCase("left") ? "right" : "left";
            m.appendReplacement(
                    out,
                    Character.isUpperCase(word.charAt(word.length() - 1))
                            ? swap.toUpperCase(Locale.ROOT)
                            : Character.isUpperCase(word.charAt(0))
                                    ? Character.toUpperCase(swap.charAt(0)) + swap.substring(1)
                                    : swap);
        }
        return m.appendTail(out).toString();
    }

    /**
     * A name for the other hand: left and right change places; where neither is named the hand is put behind, or taken
     * away again.
     */
    static String otherName(String name, Hand hand) {
        String tail = ", " + other(hand).word();
        if (name.endsWith(tail)) {
            return name.substring(0, name.length() - tail.length());
        }
        String swap = swapped(name);
        return swap.equals(name) && hand != Hand.NONE ? name + ", " + hand.word() : swap;
    }

    private static String otherCode(String code, Hand hand) {
        String mine = hand == Hand.LEFT ? "L" : "R";
        String others = hand == Hand.LEFT ? "R" : "L";
        boolean marked =
                code.length() > 1 && code.endsWith(others) && Character.isDigit(code.charAt(code.length() - 2));
        return marked ? code.substring(0, code.length() - 1) : code + mine;
    }
}
