package bucina.core.reach;

import bucina.core.catalogue.Catalogue;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The tools at hand: the builder's own, and for the kinds that the crib lacks those that ship. Pure. */
public final class ToolCrib {

    private ToolCrib() {}

    /** Own tools first; shipped ones have ids that the build has not given out. */
    public static List<Tool> of(Build build, Catalogue catalogue) {
        List<Tool> tools = new ArrayList<>(build.workshop().tools());
        long id = build.nextId();
        for (Catalogue.CribTool t : catalogue.crib()) {
            Tool.Kind kind = t.kind();
            if (Stream.of(build.workshop().tools(), build.workshop().lacking())
                    .flatMap(List::stream)
                    .noneMatch(own -> own.kind() == kind)) {
                tools.add(new Tool(new Id.Tool(id++), kind, t.name(), t.sizes()));
            }
        }
        return tools;
    }

    /** Those that ship, of all kinds: what others have. */
    public static List<Tool> typical(Catalogue catalogue) {
        return catalogue.crib().stream()
                .map(t -> new Tool(new Id.Tool(1), t.kind(), t.name(), t.sizes()))
                .toList();
    }

    /** The build with no tool of a kind in the crib, nor one that ships taken for it. */
    public static Build lacking(Build build, Tool.Kind kind) {
        return build.withWorkshop(build.workshop().lacking(new Id.Tool(build.nextId()), kind), build.nextId() + 1);
    }

    /** The build with what ships of a kind in the crib again. */
    public static Build notLacking(Build build, Tool.Kind kind) {
        return build.withWorkshop(build.workshop().notLacking(kind), build.nextId());
    }

    /** The build without one tool: of others that ship with it, the rest become the builder's own. */
    public static Build less(Build build, Tool gone, Catalogue catalogue) {
        List<Tool> left = of(build, catalogue).stream()
                .filter(t -> t.kind() == gone.kind() && !t.id().equals(gone.id()))
                .toList();
        if (left.isEmpty()) {
            return lacking(build, gone.kind());
        }
        Build less = own(build, gone) ? without(build, gone) : build;
        for (Tool t : left) {
            less = own(build, t) ? less : plus(less, t.kind(), t.name(), t.sizes());
        }
        return less;
    }

    /** True for a tool of the builder's own. */
    public static boolean own(Build build, Tool tool) {
        return build.workshop().tools().stream().anyMatch(t -> t.id().equals(tool.id()));
    }

    /** The build with a tool measured anew; one that shipped becomes the builder's own. */
    public static Build measured(Build build, Tool tool, List<Length> sizes) {
        return put(build, tool, new Tool(tool.id(), tool.kind(), tool.name(), sizes));
    }

    /** The build with another tool in the crib. */
    public static Build plus(Build build, Tool.Kind kind, String name, List<Length> sizes) {
        List<Tool> tools = new ArrayList<>(build.workshop().tools());
        tools.add(new Tool(new Id.Tool(build.nextId()), kind, name.strip(), sizes));
        return build.withWorkshop(build.workshop().withTools(tools), build.nextId() + 1);
    }

    /** The build without a tool of its own. */
    public static Build without(Build build, Tool tool) {
        return build.withWorkshop(
                build.workshop()
                        .withTools(build.workshop().tools().stream()
                                .filter(t -> !t.id().equals(tool.id()))
                                .toList()),
                build.nextId());
    }

    private static Build put(Build build, Tool old, Tool changed) {
        Workshop shop = build.workshop();
        if (!own(build, old)) {
            return plus(build, changed.kind(), changed.name(), changed.sizes());
        }
        return build.withWorkshop(
                shop.withTools(shop.tools().stream()
                        .map(t -> t.id().equals(old.id()) ? changed : t)
                        .toList()),
                build.nextId());
    }

    /** Work on a face by the tools that reach: those that none reaches first, then the most holes first. */
    public static Map<String, List<Reach>> alike(List<Reach> reaches) {
        Map<String, List<Reach>> alike = new LinkedHashMap<>();
        reaches.forEach(
                r -> alike.computeIfAbsent(words(r), k -> new ArrayList<>()).add(r));
        Map<String, List<Reach>> sorted = new LinkedHashMap<>();
        alike.entrySet().stream()
                .sorted(Comparator.comparing((Map.Entry<String, List<Reach>> e) ->
                                !e.getValue().getFirst().tools().isEmpty())
                        .thenComparing(e -> -e.getValue().size()))
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }

    private static String words(Reach r) {
        return r.work().operation() + ": "
                + (r.tools().isEmpty()
                        ? "no tool reaches"
                        : r.tools().stream().map(Tool::name).collect(Collectors.joining(", ")));
    }
}
