package bucina.core.part;

import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * What stands on one page or step of the manual.
 *
 * @param page   as people write it
 * @param groups on it, with where they are
 * @param parts  on it
 * @param jobs   of the builder's own on it
 * @param done   how many fasteners, owed things and jobs are done
 * @param all    of how many
 */
public record Pages(String page, List<Build.GroupRef> groups, List<Part> parts, List<OwnJob> jobs, int done, int all) {

    public Pages {
        groups = List.copyOf(groups);
        parts = List.copyOf(parts);
        jobs = List.copyOf(jobs);
    }

    /** Every page that something stands on, in the order of their names, figures by size. */
    public static List<Pages> of(Build build, PartStates states, Logbook log) {
        Map<String, Page> pages = new TreeMap<>(Pages::compare);
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                if (!group.page().isBlank()) {
                    Page page = pages.computeIfAbsent(group.page(), p -> new Page());
                    page.groups.add(new Build.GroupRef(ref.assembly(), ref.face(), group));
                    page.done += log.installed(group);
                    page.all += group.count();
                }
            }
        }
        for (Part part : build.parts()) {
            if (!part.particulars().page().isBlank()) {
                Page page = pages.computeIfAbsent(part.particulars().page(), p -> new Page());
                page.parts.add(part);
                List<Owing> owing = states.owing(part.id());
                page.done += (int) owing.stream().filter(o -> !o.open()).count();
                page.all += owing.size();
            }
        }
        Set<Id.Own> worked = worked(log);
        for (OwnJob job : build.workshop().jobs()) {
            if (!job.page().isBlank()) {
                Page page = pages.computeIfAbsent(job.page(), p -> new Page());
                page.jobs.add(job);
                page.done += worked.contains(job.id()) ? 1 : 0;
                page.all++;
            }
        }
        List<Pages> all = new ArrayList<>();
        pages.forEach((name, p) -> all.add(new Pages(name, p.groups, p.parts, p.jobs, p.done, p.all)));
        return all;
    }

    private static Set<Id.Own> worked(Logbook log) {
        Set<Id.Own> worked = new HashSet<>();
        for (LogEntry entry : log.entries()) {
            if (log.inForce(entry) && entry.labour().map(Labour::what).orElse(null) instanceof Labour.Own own) {
                worked.add(own.job());
            }
        }
        return worked;
    }

    /** Section 7 comes before section 12. */
    private static int compare(String a, String b) {
        int by = key(a).compareTo(key(b));
        return by != 0 ? by : a.compareTo(b);
    }

    private static String key(String page) {
        StringBuilder key = new StringBuilder();
        StringBuilder figures = new StringBuilder();
        for (char c : (page.toLowerCase(Locale.ROOT) + " ").toCharArray()) {
            if (Character.isDigit(c)) {
                figures.append(c);
            } else {
                if (!figures.isEmpty()) {
                    key.append("0".repeat(Math.max(0, 9 - figures.length()))).append(figures);
                    figures.setLength(0);
                }
                key.append(c);
            }
        }
        return key.toString();
    }

    private static final class Page {
        private final List<Build.GroupRef> groups = new ArrayList<>();
        private final List<Part> parts = new ArrayList<>();
        private final List<OwnJob> jobs = new ArrayList<>();
        private int done;
        private int all;
    }
}
