package bucina.core.order;

import bucina.core.job.Demand;
import bucina.core.job.Job;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.GabowStrongConnectivityInspector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;

/** Finds rings: the shortest in each set of jobs that all wait for one another. */
final class Rings {

    private Rings() {}

    static List<Ring> of(Work work) {
        boolean[] ringed = ringed(work);
        Graph<Integer, DefaultEdge> graph = new SimpleDirectedGraph<>(DefaultEdge.class);
        Arrays.stream(work.nodes).filter(n -> ringed[n]).forEach(graph::addVertex);
        for (int node : graph.vertexSet()) {
            for (int next : work.after[node]) {
                if (ringed[next]) {
                    graph.addEdge(node, next);
                }
            }
        }
        return new GabowStrongConnectivityInspector<>(graph)
                .stronglyConnectedSets().stream()
                        .filter(s -> s.size() > 1)
                        .sorted(Comparator.comparing(Collections::min))
                        .map(s -> ring(work, s))
                        .toList();
    }

    /** What is in a ring or comes after one: what is left when all that waits for nothing is taken away. */
    private static boolean[] ringed(Work work) {
        int[] waits = work.waits.clone();
        boolean[] left = new boolean[waits.length];
        int[] free = new int[work.nodes.length];
        int end = 0;
        for (int node : work.nodes) {
            left[node] = true;
            if (waits[node] == 0) {
                free[end++] = node;
            }
        }
        for (int i = 0; i < end; i++) {
            left[free[i]] = false;
            for (int next : work.after[free[i]]) {
                if (--waits[next] == 0) {
                    free[end++] = next;
                }
            }
        }
        return left;
    }

    private static Ring ring(Work work, Set<Integer> within) {
        List<Integer> shortest = List.of();
        int tried = 0;
        for (int node : within.stream().sorted().toList()) {
            List<Integer> found = from(work, node, within);
            if (shortest.isEmpty() || found.size() < shortest.size()) {
                shortest = found;
            }
            if (shortest.size() == 2 || ++tried > 60) {
                break;
            }
        }
        return told(work, shortest);
    }

    /** The shortest way from a node back to itself. */
    private static List<Integer> from(Work work, int start, Set<Integer> within) {
        Map<Integer, Integer> came = new HashMap<>();
        ArrayDeque<Integer> todo = new ArrayDeque<>(List.of(start));
        while (!todo.isEmpty()) {
            int node = todo.remove();
            for (int next : work.after[node]) {
                if (next == start) {
                    List<Integer> way = new ArrayList<>();
                    for (Integer n = node; n != null; n = n == start ? null : came.get(n)) {
                        way.addFirst(n);
                    }
                    return way;
                }
                if (within.contains(next) && came.putIfAbsent(next, node) == null) {
                    todo.add(next);
                }
            }
        }
        throw new IllegalStateException("a set of jobs that wait for one another has no way round");
    }

    private static Ring told(Work work, List<Integer> nodes) {
        List<String> parts = new ArrayList<>();
        Set<String> ways = new LinkedHashSet<>();
        for (int i = 0; i < nodes.size(); i++) {
            int node = nodes.get(i);
            int next = nodes.get((i + 1) % nodes.size());
            Demand d = work.jobs.reason(node, next);
            parts.add(name(work, node) + " before " + name(work, next) + " (" + d.rule() + ": " + d.text() + ")");
            ways.add(way(d.rule()));
        }
        String part = nodes.stream()
                .filter(n -> n < work.jobs.size())
                .flatMap(n -> work.jobs.job(n).part().stream())
                .findFirst()
                .map(p -> " at " + p.name())
                .orElse("");
        return new Ring(
                nodes,
                "These demands" + part + " have no order: " + String.join(", and ", parts) + ".",
                List.copyOf(ways));
    }

    private static String name(Work work, int node) {
        return node < work.jobs.size()
                ? Optional.of(work.jobs.job(node)).map(Job::words).orElseThrow()
                : "closing the bay";
    }

    private static String way(String rule) {
        return switch (rule) {
            case "P4", "P10" -> "fit the part later, or leave it off";
            case "P5" -> "set it with another tool";
            case "P11" -> "take your own \"before\" back";
            case "P3" -> "leave those holes until the part is on";
            default -> "do a part of it out of order, with a reason";
        };
    }
}
