package bucina.desk.session;

import bucina.core.batch.BatchClock;
import bucina.core.plan.Batch;
import bucina.core.plan.Id;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** What running batches call for, until the builder has seen it. Interface thread only. */
public final class BatchWatch {

    /** What a batch calls for. */
    public enum Call {
        /** It has stood long enough. */
        USE,
        /** It is to be stirred. */
        STIR,
        /** It goes off soon. */
        CLOSING,
        /** It must not be used any more. */
        OVER
    }

    /**
     * One call.
     *
     * @param since the moment it counts from, so that a call that was seen comes again for another moment
     */
    public record Alarm(Id.Batch batch, Call call, Instant since, String words) {}

    private final Set<String> seen = new HashSet<>();

    /** Every call of the batches that was not seen yet, the gravest first. */
    public List<Alarm> alarms(List<Batch> running, Instant now) {
        List<Alarm> alarms = new ArrayList<>();
        for (Batch b : running) {
            BatchClock clock = BatchClock.at(b, now);
            String name = b.compound().name();
            String life = b.compound().kind().life().toLowerCase(Locale.ROOT);
            switch (clock.phase()) {
                case OVER ->
                    alarms.add(new Alarm(
                            b.id(), Call.OVER, b.mixed(), name + " is past its " + life + ": use no more of it."));
                case CLOSING ->
                    alarms.add(new Alarm(
                            b.id(),
                            Call.CLOSING,
                            b.mixed(),
                            name + " goes off in " + BatchClock.words(clock.left())
                                    + ": finish what is begun, begin nothing new."));
                case READY -> {
                    if (b.compound().induction() > 0) {
                        alarms.add(new Alarm(
                                b.id(),
                                Call.USE,
                                b.mixed(),
                                name + " has stood its " + b.compound().induction() + " min: it may be used."));
                    }
                }
                case STANDING -> {}
            }
            if (clock.stirNow()) {
                alarms.add(new Alarm(
                        b.id(),
                        Call.STIR,
                        b.stirred(),
                        "Stir the " + name + ": " + b.compound().stir() + " min since the last time."));
            }
        }
        alarms.removeIf(a -> seen.contains(key(a)));
        alarms.sort(Comparator.comparing(Alarm::call).reversed());
        return alarms;
    }

    /** The builder has seen a call. */
    public void seen(Alarm alarm) {
        seen.add(key(alarm));
    }

    private static String key(Alarm alarm) {
        return alarm.batch.n() + "|" + alarm.call + "|" + alarm.since;
    }
}
