package bucina.core.forecast;

import bucina.core.job.Experience;
import bucina.core.job.Job;
import bucina.core.plan.Assembly;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is left of one kind of work.
 *
 * @param kind    as {@link Experience#kind} names it
 * @param units   holes in a sheet, fasteners, heads or parts; over 0
 * @param minutes typical for all of them together; at least 0
 * @param other   true on an assembly that follows another hand
 */
public record Left(String kind, double units, double minutes, boolean other) {

    /** Of open jobs, kind by kind. */
    public static List<Left> of(List<Job> jobs) {
        Map<String, Left> all = new LinkedHashMap<>();
        for (Job job : jobs) {
            if (!job.done()) {
                String kind = Experience.kind(job);
                double units = job.place().isPresent() ? job.count() : 1;
                boolean other = job.assembly().flatMap(Assembly::twin).isPresent();
                all.merge(
                        kind + other,
                        new Left(kind, units, job.minutes().mid(), other),
                        (a, b) -> new Left(kind, a.units + b.units, a.minutes + b.minutes, other));
            }
        }
        return new ArrayList<>(all.values());
    }
}
