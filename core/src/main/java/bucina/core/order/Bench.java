package bucina.core.order;

import bucina.core.job.Job;
import bucina.core.job.Setup;
import bucina.core.plan.Assembly;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What is in each tool and which side of each assembly is up, job after job; bare at first. */
public final class Bench {

    private final double turning;
    private final Map<String, String> there = new HashMap<>();

    /**
     * @param turning minutes to turn an assembly over
     */
    public Bench(double turning) {
        this.turning = turning;
    }

    /** Minutes lost before a job: all that must be changed, and the part on or off if that is the job. */
    public double before(Job job) {
        double minutes = job.lost();
        for (Setup.Item item : job.setup().items()) {
            minutes += item.value().equals(there.get(item.slot())) ? 0 : item.minutes();
        }
        return turned(job) ? minutes + turning : minutes;
    }

    private static String assembly(Job job) {
        return "side of "
                + job.assembly().map(Assembly::id).map(Object::toString).orElse("");
    }

    /** The first side up costs nothing: an assembly lies on some side. */
    private boolean turned(Job job) {
        String was = there.get(assembly(job));
        return !job.setup().side().isEmpty()
                && was != null
                && !was.equals(job.setup().side());
    }

    /** What is changed before a job, in words. */
    public List<String> changes(Job job) {
        List<String> words = new ArrayList<>();
        for (Setup.Item item : job.setup().items()) {
            if (!item.value().equals(there.get(item.slot()))) {
                words.add(change(item));
            }
        }
        if (turned(job)) {
            words.add("turn the assembly over: " + job.setup().side() + " up");
        }
        return words;
    }

    /** A gap that was set for another stretch is reset; what is set anew is tried on a coupon. */
    private String change(Setup.Item item) {
        boolean gap = item.slot().endsWith(" gap");
        boolean tried = gap || item.slot().endsWith(" cage") || item.slot().endsWith(" dies");
        return (gap && there.containsKey(item.slot()) ? "reset " : "") + item.slot() + ": " + item.value()
                + (tried ? ", coupon first" : "");
    }

    /** The job is done: what it needed is in place. */
    public void set(Job job) {
        job.setup().items().forEach(i -> there.put(i.slot(), i.value()));
        if (!job.setup().side().isEmpty()) {
            there.put(assembly(job), job.setup().side());
        }
    }
}
