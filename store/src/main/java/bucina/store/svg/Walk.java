package bucina.store.svg;

import bucina.core.measure.InputException;
import bucina.core.sheet.Point;
import bucina.store.curve.Lefts;
import bucina.store.curve.Placing;
import bucina.store.curve.Sink;
import bucina.store.drawing.Limits;
import bucina.store.drawing.Progress;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Goes through the elements as they are drawn: groups, uses, and views in views. Used once. */
final class Walk {

    /** Uses of uses deeper than this go round in circles. */
    private static final int DEEPEST = 40;

    /** More steps than any drawing needs: uses of uses of empty groups have no shapes to count. */
    private static final int STEPS = 4 * Limits.SHAPES;

    private static final Set<String> SHAPES =
            Set.of("path", "circle", "ellipse", "rect", "line", "polyline", "polygon");

    /** What draws nothing where it stands. */
    private static final Set<String> SILENT = Set.of(
            "defs",
            "symbol",
            "clipPath",
            "mask",
            "pattern",
            "marker",
            "linearGradient",
            "radialGradient",
            "filter",
            "style",
            "title",
            "desc",
            "metadata",
            "script",
            "view",
            "cursor",
            "font",
            "font-face",
            "set",
            "animate",
            "animateTransform",
            "animateMotion",
            "animateColor",
            SvgTree.FOREIGN);

    private static final Map<String, String> REASONS = Map.of(
            "text", "words are no line of a sheet",
            "image", "a picture has no lines",
            "foreignObject", "it belongs to another program");

    private final SvgTree tree;
    private final StyleSheet sheet;
    private final Lefts lefts;
    private final Progress progress;
    private final Shapes shapes;
    private final Sink sink;
    private int steps;

    Walk(SvgTree tree, StyleSheet sheet, Sink sink, Lefts lefts, Progress progress) {
        this.tree = tree;
        this.sheet = sheet;
        this.lefts = lefts;
        this.progress = progress;
        this.sink = sink;
        shapes = new Shapes(sink, lefts);
    }

    /**
     * Draws everything.
     *
     * @param outer how the figures of the file become places
     */
    void all(Placing outer) {
        SvgNode root = tree.root();
        Optional<double[]> box = Viewport.box(root);
        Viewport port = box.map(b -> new Viewport(b[2], b[3])).orElseGet(() -> {
            Viewport none = new Viewport(0, 0);
            return new Viewport(none.across(root, "width"), none.up(root, "height"));
        });
        Drawn drawn = new Drawn(outer, Look.FIRST.of(root, sheet), "", false, port, List.of(), 0).layer(root);
        // The name of the whole file is no layer of it.
        drawn = new Drawn(outer, drawn.look(), drawn.layer(), false, port, List.of(), 0);
        if (port.width() > 0 && port.height() > 0) {
            double[] b = box.orElse(new double[] {0, 0, port.width(), port.height()});
            shapes.page(corners(outer, b));
        }
        inside(root, drawn);
    }

    private static List<Point> corners(Placing at, double[] box) {
        return List.of(
                at.at(box[0], box[1]),
                at.at(box[0] + box[2], box[1]),
                at.at(box[0] + box[2], box[1] + box[3]),
                at.at(box[0], box[1] + box[3]));
    }

    private void inside(SvgNode node, Drawn drawn) {
        node.children().forEach(child -> draw(child, drawn));
    }

    private void draw(SvgNode node, Drawn around) {
        if (SILENT.contains(node.name())) {
            return;
        }
        if (++steps > STEPS) {
            throw new InputException("the SVG draws over " + STEPS + " things: bring in one sheet at a time");
        }
        if ((steps & 511) == 0) {
            progress.check(0.5 + 0.4 * Math.min(1, sink.count() / 2e5));
            Limits.count(sink.count());
        }
        Drawn drawn = cut(moved(node, around));
        switch (node.name()) {
            case "g", "a" -> inside(node, drawn.layer(node));
            case "switch" ->
                node.children().stream()
                        .filter(c -> SHAPES.contains(c.name())
                                || Set.of("g", "use", "svg", "text").contains(c.name()))
                        .findFirst()
                        .ifPresent(c -> draw(c, drawn));
            case "svg" ->
                view(
                        node,
                        drawn,
                        drawn.port().across(node, "width"),
                        drawn.port().up(node, "height"));
            case "use" -> use(node, drawn);
            default -> {
                if (SHAPES.contains(node.name())) {
                    shapes.draw(node, drawn);
                } else {
                    leave(node, drawn, REASONS.getOrDefault(node.name(), "this program does not read it"));
                }
            }
        }
    }

    private void leave(SvgNode node, Drawn drawn, String why) {
        String kind = node.name().length() > 40 ? node.name().substring(0, 40) : node.name();
        lefts.add(kind, Drawn.cut(drawn.layer()), why, place(node, drawn));
    }

    private static Optional<Point> place(SvgNode node, Drawn drawn) {
        try {
            return Optional.of(
                    drawn.at().at(drawn.port().across(node, "x"), drawn.port().up(node, "y")));
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    /** With the look and the transform of an element. */
    private Drawn moved(SvgNode node, Drawn around) {
        Look look = around.look().of(node, sheet);
        return around.look(look).at(around.at().of(Transforms.of(node.text("transform"))));
    }

    private Drawn cut(Drawn drawn) {
        return drawn.look()
                .clip()
                .flatMap(id -> Optional.ofNullable(tree.byId().get(id)))
                .filter(c -> c.name().equals("clipPath"))
                .map(c -> c.text("clipPathUnits").equals("objectBoundingBox")
                        ? drawn.look(drawn.look().without("a clip path that goes by its size cuts it"))
                        : clipped(c, drawn))
                .orElse(drawn);
    }

    private Drawn clipped(SvgNode clip, Drawn drawn) {
        Sink lines = new Sink();
        Lefts none = new Lefts();
        Walk inner = new Walk(tree, sheet, lines, none, progress);
        inner.steps = steps;
        Drawn plain = new Drawn(
                drawn.at().of(Transforms.of(clip.text("transform"))),
                Look.FIRST,
                "",
                true,
                drawn.port(),
                List.of(),
                drawn.depth() + 1);
        if (drawn.depth() < DEEPEST) {
            inner.inside(clip, plain);
        }
        steps = inner.steps;
        boolean evenOdd =
                clip.children().stream().anyMatch(c -> c.text("clip-rule").equals("evenodd"));
        return drawn.cut(Clip.of(Shapes.outlines(lines), evenOdd));
    }

    private void use(SvgNode node, Drawn drawn) {
        String href = node.text("href");
        Optional<SvgNode> target =
                href.startsWith("#") ? Optional.ofNullable(tree.byId().get(href.substring(1))) : Optional.empty();
        if (target.isEmpty()) {
            leave(node, drawn, href.startsWith("#") ? "what it uses is not there" : "it is in another file");
            return;
        }
        if (drawn.depth() >= DEEPEST) {
            leave(node, drawn, "it uses itself");
            return;
        }
        Drawn put = drawn.deeper()
                .at(drawn.at()
                        .of(Placing.moved(
                                drawn.port().across(node, "x"), drawn.port().up(node, "y"))));
        SvgNode used = target.get();
        if (used.name().equals("symbol") || used.name().equals("svg")) {
            Drawn own = cut(moved(used, put));
            double w = size(node, used, "width", drawn.port());
            double h = size(node, used, "height", drawn.port());
            view(used, own, w, h);
        } else {
            draw(used, put);
        }
    }

    private static double size(SvgNode use, SvgNode used, String name, Viewport port) {
        SvgNode says = use.text(name).isEmpty() && used.name().equals("svg") ? used : use;
        return name.equals("width") ? port.across(says, name) : port.up(says, name);
    }

    /** A view in a view: of this size, or as large as what is around it. */
    private void view(SvgNode node, Drawn drawn, double width, double height) {
        boolean svg = node.name().equals("svg");
        double w = width > 0 ? width : drawn.port().width();
        double h = height > 0 ? height : drawn.port().height();
        Placing at = svg
                ? drawn.at()
                        .of(Placing.moved(
                                drawn.port().across(node, "x"), drawn.port().up(node, "y")))
                : drawn.at();
        Optional<double[]> box = Viewport.box(node);
        Drawn inner = drawn.port(box.map(b -> new Viewport(b[2], b[3])).orElse(new Viewport(w, h)));
        boolean sized = w > 0 && h > 0;
        if (sized && !drawn.look().spills()) {
            inner = inner.cut(Clip.of(corners(at, new double[] {0, 0, w, h})));
        }
        inside(
                node,
                inner.at(box.isPresent() && sized ? at.of(Viewport.fitted(node, box.get(), w, h)) : at)
                        .layer(node));
    }
}
