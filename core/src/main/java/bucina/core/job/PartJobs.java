package bucina.core.job;

import bucina.core.measure.Length;
import bucina.core.part.Owing;
import bucina.core.part.PartStates;
import bucina.core.part.PartTask;
import bucina.core.plan.Assembly;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Box;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Jobs on parts as one thing, and the builder's own. */
final class PartJobs {

    private final Around around;
    private final Moves moves;

    PartJobs(Around around, Moves moves) {
        this.around = around;
        this.moves = moves;
    }

    /** What a part owes, done or not. */
    List<Job> tasks(Part part) {
        List<Job> jobs = new ArrayList<>();
        for (Owing owing : around.parts().owing(part.id())) {
            jobs.add(task(part, owing.task(), !owing.open()));
        }
        return jobs;
    }

    /** One thing done to a part. */
    Job task(Part part, String task, boolean done) {
        return job(part, Op.TASK, task, around.paces().task(task), 1, done, PartTask.words(task));
    }

    /** A part on or off. */
    Job move(Part part, Op op) {
        return job(part, op, op.code(), around.paces().move(moves.clecos(part.id())), big(part) ? 2 : 1, false, "");
    }

    private Job job(Part part, Op op, String word, Minutes minutes, int people, boolean done, String title) {
        return new Job(
                FaceJobs.name(word) + ":" + FaceJobs.name(part.name()),
                op,
                word,
                assembly(part.id()),
                Optional.empty(),
                0,
                Optional.of(part),
                part.particulars().page(),
                Setup.NONE,
                minutes,
                people,
                done,
                title);
    }

    private Optional<Assembly> assembly(Id.Part part) {
        return around.parts().lies(part).stream().map(PartStates.On::assembly).findFirst();
    }

    /** True for a part that is handled by two. */
    private boolean big(Part part) {
        Length most = around.build().rules().length(RuleKey.PART_TWO);
        return around.parts().lies(part.id()).stream().anyMatch(on -> {
            Box box = on.layer().outline().box();
            return !Length.nm(Math.max(box.width(), box.height())).atMost(most);
        });
    }

    /** A job of the builder's own; done once it is logged. */
    Job own(OwnJob job) {
        Optional<Assembly> where = around.build().assemblies().stream()
                .filter(a -> job.assembly().filter(a.id()::equals).isPresent())
                .findFirst();
        Minutes minutes = around.paces().own(job.id());
        return new Job(
                "own:" + job.id().n(),
                Op.OWN,
                "own",
                where,
                Optional.empty(),
                0,
                job.parts().stream().findFirst().map(around.parts()::part),
                job.page(),
                Setup.NONE,
                minutes,
                1,
                around.log().logged(job.id()),
                job.name());
    }
}
