package bucina.core.progress;

import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.ClecoSize;
import bucina.core.plan.Row;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the bin has, and how much of it holds rows that are done. */
final class ClecoBin {

    private final Map<String, Integer> bins;
    private final Map<ClecoSize, Integer> kept = new HashMap<>();
    private final Map<ClecoSize, Integer> peaks = new HashMap<>();

    ClecoBin(Map<String, Integer> bins) {
        this.bins = bins;
    }

    private int of(ClecoSize size) {
        return bins.getOrDefault(size.bin(), Integer.MAX_VALUE);
    }

    List<FaceClecos.Use> uses() {
        return peaks.entrySet().stream()
                .map(e -> new FaceClecos.Use(
                        e.getKey(), bins.getOrDefault(e.getKey().bin(), -1), e.getValue()))
                .sorted(Comparator.comparing(u -> u.size().from()))
                .toList();
    }

    /**
     * A row worked with what the bin has beside the clecos that hold the rows before; where that is too few, those
     * are lifted first.
     */
    FaceClecos.RowPlan held(
            Row row,
            List<ClecoSize> sizes,
            List<HoleReading> holes,
            int held,
            ClecoPlan.Row all,
            int none,
            String why) {
        Map<ClecoSize, Integer> free = new HashMap<>();
        sizes.forEach(z -> free.put(z, of(z) - kept.getOrDefault(z, 0)));
        ClecoPlan plan = fitting(all, sizes, free);
        int before =
                sizes.stream().distinct().mapToInt(z -> kept.getOrDefault(z, 0)).sum();
        int lifted = plan.fits() ? 0 : before;
        if (lifted > 0) {
            sizes.forEach(z -> {
                free.put(z, of(z));
                kept.put(z, 0);
            });
            plan = fitting(all, sizes, free);
        }
        List<Integer> stay = plan.fits() ? stay(sizes) : List.of();
        Map<ClecoSize, Integer> most = plan.fits() ? peaks(plan, sizes) : Map.of();
        sizes.stream().distinct().forEach(z -> {
            int left =
                    (int) stay.stream().filter(h -> sizes.get(h - 1).equals(z)).count();
            int now = kept.getOrDefault(z, 0);
            peaks.merge(z, now + Math.max(most.getOrDefault(z, 0), left), Math::max);
            kept.put(z, now + left);
        });
        return new FaceClecos.RowPlan(
                row, sizes, holes, Optional.of(plan), held, before - lifted, lifted, stay, none, why);
    }

    /** Every so many holes that keep or get a cleco, as far as the bin goes. */
    private List<Integer> stay(List<ClecoSize> sizes) {
        Map<ClecoSize, Integer> used = new HashMap<>(kept);
        List<Integer> stay = new ArrayList<>();
        for (int h = (1 + sizes.size()) / 2 % FaceClecos.KEPT_EVERY; h <= sizes.size(); h += FaceClecos.KEPT_EVERY) {
            if (h > 0 && used.getOrDefault(sizes.get(h - 1), 0) < of(sizes.get(h - 1))) {
                used.merge(sizes.get(h - 1), 1, Integer::sum);
                stay.add(h);
            }
        }
        return stay;
    }

    /** The plan with the most clecos that keeps every size within its bin. */
    private static ClecoPlan fitting(ClecoPlan.Row all, List<ClecoSize> sizes, Map<ClecoSize, Integer> free) {
        int high =
                Math.clamp(free.values().stream().mapToLong(Integer::longValue).sum(), 0, all.holes());
        ClecoPlan plan = ClecoPlan.of(stock(all, high));
        if (!over(plan, sizes, free)) {
            return plan;
        }
        // With fewer at once fewer of each size are in use: the most that keep to the bins are found by halving.
        return halved(plan, all, high, sizes, free);
    }

    private static ClecoPlan halved(
            ClecoPlan plan, ClecoPlan.Row all, int high, List<ClecoSize> sizes, Map<ClecoSize, Integer> free) {
        int low = 0;
        plan = ClecoPlan.of(stock(all, low));
        while (high - low > 1) {
            int half = (low + high) / 2;
            ClecoPlan tried = ClecoPlan.of(stock(all, half));
            if (over(tried, sizes, free)) {
                high = half;
            } else {
                low = half;
                plan = tried;
            }
        }
        return plan;
    }

    private static boolean over(ClecoPlan plan, List<ClecoSize> sizes, Map<ClecoSize, Integer> free) {
        return free.size() > 1
                && peaks(plan, sizes).entrySet().stream()
                        .anyMatch(e -> e.getValue() > free.getOrDefault(e.getKey(), 0));
    }

    /** Most clecos of each size in use at once, by walking the plan. */
    private static Map<ClecoSize, Integer> peaks(ClecoPlan plan, List<ClecoSize> sizes) {
        Map<ClecoSize, Integer> in = new HashMap<>();
        Map<ClecoSize, Integer> peaks = new HashMap<>();
        for (ClecoPlan.Wave wave : plan.waves()) {
            for (int h : wave.place()) {
                int now = in.merge(sizes.get(h - 1), 1, Integer::sum);
                peaks.merge(sizes.get(h - 1), now, Math::max);
            }
            wave.remove().forEach(h -> in.merge(sizes.get(h - 1), -1, Integer::sum));
        }
        return peaks;
    }

    private static ClecoPlan.Row stock(ClecoPlan.Row row, int free) {
        return new ClecoPlan.Row(row.holes(), row.mode(), Math.clamp(free, 0, row.holes()), row.nearest());
    }
}
