package bucina.desk.tonight;

import bucina.core.evening.Tonight;
import bucina.core.job.Job;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Tool;
import java.util.List;

/**
 * One job in the list.
 *
 * @param id     the job's name
 * @param words  what is done
 * @param needs  what it needs, in few words; may be empty
 * @param change what is changed before it; empty where nothing is
 * @param look   its tool
 * @param from   minutes from the beginning, where the list is a band; negative where it is none
 * @param lost   minutes before it
 * @param work   minutes of work
 * @param whole  minutes of the band
 * @param stop   true if it is natural to stop after it
 * @param why    why it waits; may be empty
 * @param fresh  true if it was not open when the build was looked at on another day
 */
record JobLine(
        String id,
        String words,
        String needs,
        String change,
        ToolPicture.Look look,
        double from,
        double lost,
        double work,
        double whole,
        boolean stop,
        String why,
        boolean fresh) {

    static JobLine of(Tonight.Stint s, List<Tool> crib, double from, double whole, boolean stop, boolean fresh) {
        return new JobLine(
                s.job().id(),
                s.words(),
                needs(s.job()),
                String.join("; ", s.changes()),
                look(s.job(), crib),
                from,
                s.lost(),
                s.minutes(),
                whole,
                stop,
                "",
                fresh);
    }

    static JobLine of(OrderOfWork.Step s, List<Tool> crib, String why, boolean fresh) {
        return new JobLine(
                s.job().id(),
                s.job().words(),
                needs(s.job()),
                String.join("; ", s.changes()),
                look(s.job(), crib),
                -1,
                s.minutes(),
                s.job().minutes().mid(),
                1,
                false,
                why,
                fresh);
    }

    private static ToolPicture.Look look(Job job, List<Tool> crib) {
        return job.word().startsWith("deburr")
                ? ToolPicture.Look.DEBURRING
                : ToolPicture.of(job.setup().tool(), crib);
    }

    private static String needs(Job job) {
        String needs = job.setup().words();
        return job.people() > 1 ? needs + (needs.isEmpty() ? "" : "; ") + "two people" : needs;
    }
}
