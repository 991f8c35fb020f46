package bucina.desk.cli;

import bucina.core.edit.PartEdits;
import bucina.core.form.AsFound;
import bucina.core.form.Entries;
import bucina.core.form.PartForm;
import bucina.core.guard.LogCheck;
import bucina.core.hold.Holds;
import bucina.core.job.JobDone;
import bucina.core.job.Jobs;
import bucina.core.log.Addition;
import bucina.core.log.Disposition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Tightened;
import bucina.core.log.Used;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.part.PartStates;
import bucina.core.plan.Group;
import bucina.core.plan.Row;
import bucina.desk.session.PhotoFiles;
import bucina.store.Photo;
import bucina.store.file.BuildFile;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParentCommand;

/** {@code log FILE add}: one more entry; its number is printed after it is on the disk. */
@Command(
        name = "add",
        mixinStandardHelpOptions = true,
        description = "Logs fasteners as installed and prints the entry's number once it is on disk.")
final class LogAddCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @ParentCommand
    private LogCommand log;

    @Option(names = "--group", description = "Code of the group: US-1")
    private @Nullable String group;

    @Option(
            names = "--job",
            description = "A job by its name: deburr:US-1:R1:Upper skin, prove:US-1:R1:-, off:Main rib 3, own:7")
    private @Nullable String job;

    @Option(names = "--as-found", description = "Found as it is, nobody knows when: with --part or --group.")
    private boolean found;

    @Option(names = "--part", description = "A part found finished; may be given more than once.")
    private List<String> parts = List.of();

    @Option(names = "--row", description = "Name of the row: R3")
    private @Nullable String row;

    @Option(
            names = "--holes",
            description = "Labels in that row: 1-40 or 1,3,5-9. Without it all that are not set yet.")
    private @Nullable String holes;

    @Option(names = "--count", description = "How many, for a group without holes. Without it all that are left.")
    private @Nullable Integer count;

    @Option(names = "--designation", description = "As used: MS20426AD3-3.5")
    private @Nullable String designation;

    @Option(names = "--length", description = "Length as used, where it was cut.")
    private @Nullable String length;

    @Option(names = "--who", description = "Who did it.")
    private @Nullable String who;

    @Option(names = "--at", description = "When it was done: 2026-11-20T19:30")
    private @Nullable String at;

    @Option(names = "--minutes", description = "Time taken, whole minutes.")
    private @Nullable Integer minutes;

    @Option(names = "--tool", defaultValue = "", description = "Tool.")
    private String tool;

    @Option(names = "--setting", description = "Closed gap of the squeezer.")
    private String setting;

    @Option(names = "--hole-size", description = "Hole as measured.")
    private String holeSize;

    @Option(names = "--readings", description = "Shop heads measured, diameter x height: .150x.048,.151x.047")
    private String readings;

    @Option(
            names = "--rejects",
            description = "N:DISPOSITION, with left, replaced, oversize, open or query: 1:replaced")
    private @Nullable String rejects;

    @Option(names = "--photo", description = "A picture file; may be given more than once.")
    private List<Path> photos = List.of();

    @Option(names = "--note", defaultValue = "", description = "Note; a length graded short or long wants one.")
    private String note;

    @Option(
            names = "--because",
            defaultValue = "",
            description = "Why holes that are not ready, or an odd length, were set all the same.")
    private String because;

    @Option(names = "--torque", description = "Of bolts that were torqued: what was set without the drag, in-lb.")
    private @Nullable Double torque;

    @Option(names = "--drag", defaultValue = "0", description = "Running drag measured, in-lb.")
    private double drag;

    @Option(names = "--corrects", description = "Number of the entry this one stands in place of.")
    private @Nullable Integer corrects;

    @Override
    public Integer call() {
        try (BuildFile file = common.told(BuildFile.open(log.file()))) {
            OnBuild.Opened opened = log.derived(file);
            List<Photo> pictures = photos.stream().map(PhotoFiles::read).toList();
            LocalDateTime now = LocalDateTime.now(common.top().clock());
            Optional<JobDone> made = job == null || found ? Optional.empty() : Optional.of(done(opened, said()));
            Optional<JobDone> moved = made.filter(m -> m.stands().isPresent());
            moved.ifPresent(m -> move(file, opened, m, now));
            LogEntry entry = file.add(
                            others -> {
                                OnBuild.Opened is = others.map(log::derived).orElse(opened);
                                Addition addition = moved.or(() -> others.isEmpty() ? made : Optional.empty())
                                        .map(JobDone::addition)
                                        .orElseGet(() -> addition(is, pictures, now));
                                new LogCheck(is.derivation(), is.log())
                                        .accept(addition.draft().orElseThrow(), now);
                                return addition;
                            },
                            pictures,
                            common.top().clock())
                    .entry()
                    .orElseThrow();
            common.answer(Common.object().put("id", entry.id()), List.of(Integer.toString(entry.id())));
            return Cli.FINE;
        }
    }

    /** Says how a part stands now; nothing is written if the entry would be refused. */
    private static void move(BuildFile file, OnBuild.Opened opened, JobDone moved, LocalDateTime now) {
        new LogCheck(opened.derivation(), opened.log())
                .accept(moved.addition().draft().orElseThrow(), now);
        var stands = moved.stands().orElseThrow();
        PartStates states = PartStates.of(opened.derivation(), opened.log());
        file.save(PartEdits.stands(opened.build(), states, stands.getKey(), stands.getValue())
                .checked());
    }

    private Addition addition(OnBuild.Opened is, List<Photo> pictures, LocalDateTime now) {
        if (found) {
            return Addition.of(found(is, now));
        }
        if (job != null) {
            return done(is, said()).addition();
        }
        return Addition.of(draft(is, pictures));
    }

    private JobDone.Said said() {
        return new JobDone.Said(
                given(who, "--who", "\"M. Oake\""),
                Entries.when(given(at, "--at", "2026-11-20T19:30")),
                minutes(),
                because.strip(),
                note,
                Optional.ofNullable(torque).map(t -> new Tightened(t, drag)),
                Entries.readings(readings, common.lengths()));
    }

    private JobDone done(OnBuild.Opened is, JobDone.Said said) {
        Jobs jobs = Jobs.of(
                is.derivation(),
                is.log(),
                new Holds(is.derivation(), is.log()),
                LocalDate.now(common.top().clock()));
        return JobDone.of(
                jobs,
                Objects.requireNonNull(job),
                is.derivation(),
                is.log(),
                said,
                common.top().clock().instant());
    }

    private static String given(@Nullable String value, String option, String example) {
        if (value == null) {
            throw Common.wrong(option + " is missing: add it like " + option + " " + example);
        }
        return value;
    }

    private int minutes() {
        if (minutes == null) {
            throw Common.wrong("--minutes is missing: add the whole minutes it took, like --minutes 40");
        }
        return minutes;
    }

    /** Nobody knows when it was done, nor who did it. */
    private LogEntry.Draft found(OnBuild.Opened is, LocalDateTime now) {
        if (minutes != null && minutes != 0) {
            throw Common.wrong(
                    "--minutes " + minutes + ": what was found as it is took no time of yours; leave it out");
        }
        PartStates states = PartStates.of(is.derivation(), is.log());
        Labour.Found what = group == null
                ? AsFound.parts(
                        is.derivation(),
                        is.log(),
                        parts.stream()
                                .map(p -> PartForm.none(common.lengths())
                                        .named(states, p)
                                        .id())
                                .toList())
                : AsFound.group(group(is, group), is.log(), rows(group(is, group)));
        return LogEntry.Draft.install(new Labour(
                what,
                "",
                who == null ? "not known" : who,
                at == null ? now.withNano(0) : Entries.when(at),
                0,
                because.strip(),
                note,
                List.of()));
    }

    private List<Row> rows(Group of) {
        List<Row> named = row == null
                ? List.of()
                : of.rows().stream().filter(r -> r.name().equalsIgnoreCase(row)).toList();
        if (row != null && named.isEmpty()) {
            throw Common.wrong("group " + of.code() + " has no row \"" + row + "\"; it has "
                    + of.rows().stream().map(Row::name).collect(Collectors.joining(", ")));
        }
        return named;
    }

    private static Group group(OnBuild.Opened opened, String group) {
        return OnBuild.group(opened, group).group();
    }

    private LogEntry.Draft draft(OnBuild.Opened opened, List<Photo> pictures) {
        Group found = group(opened, given(group, "--group", "US-1, or --job, or --as-found"));
        Used used = Used.parse(found.fastener(), given(designation, "--designation", "MS20426AD3-3.5"));
        Optional<Length> usedLength = length == null || used.length().isEmpty()
                ? used.length()
                : Optional.of(common.lengths().parsePositive(length, "--length"));
        List<Work.LoggedHole> named = holes(found, opened.log());
        int many = found.typed().isPresent()
                ? count == null ? found.count() - opened.log().installed(found) : count
                : named.size();
        Work.Setup setup =
                new Work.Setup(found.setUp(tool), optional(setting, "--setting"), optional(holeSize, "--hole-size"));
        Work work = new Work(
                found.id(),
                found.code(),
                named,
                many,
                used.code(),
                usedLength,
                given(who, "--who", "\"M. Oake\""),
                Entries.when(given(at, "--at", "2026-11-20T19:30")),
                minutes(),
                setup,
                Entries.readings(readings, common.lengths()),
                rejects(),
                because.strip(),
                note,
                pictures.stream().map(Photo::sha256).toList());
        return corrects == null ? LogEntry.Draft.install(work) : LogEntry.Draft.replace(corrects, work, note);
    }

    private Optional<Length> optional(String text, String name) {
        return Optional.ofNullable(text).map(t -> common.lengths().parsePositive(t, name));
    }

    private List<Work.LoggedHole> holes(Group found, Logbook before) {
        if (found.typed().isPresent()) {
            if (row != null || holes != null) {
                throw Common.wrong("group " + found.code()
                        + " has no holes on a sheet: leave out --row and --holes, give --count");
            }
            return List.of();
        }
        if (row == null && holes != null) {
            throw Common.wrong("--holes " + holes + " wants the row it counts in: add --row, such as --row "
                    + found.rows().getFirst().name());
        }
        List<Row> rows = found.rows().stream()
                .filter(r -> row == null || r.name().equalsIgnoreCase(row))
                .toList();
        if (rows.isEmpty()) {
            throw Common.wrong("group " + found.code() + " has no row \"" + row + "\"; it has "
                    + found.rows().stream().map(Row::name).collect(Collectors.joining(", ")));
        }
        List<Work.LoggedHole> named = new ArrayList<>();
        for (Row each : rows) {
            named.addAll(holes == null ? Entries.open(each, before) : Entries.named(each, holes));
        }
        if (named.isEmpty()) {
            throw Common.wrong("every hole asked for in group " + found.code() + " is logged as set already");
        }
        return named;
    }

    private List<Work.Reject> rejects() {
        List<Work.Reject> list = new ArrayList<>();
        for (String part : rejects == null ? new String[0] : rejects.split(",", -1)) {
            String[] pair = part.split(":", -1);
            if (pair.length != 2 || !pair[0].strip().matches("\\d{1,6}")) {
                throw Common.wrong(
                        "--rejects \"" + part + "\" is not N:DISPOSITION: write it like 1:replaced or 2:open");
            }
            list.add(new Work.Reject("", Integer.parseInt(pair[0].strip()), Disposition.parse(pair[1]), ""));
        }
        return list;
    }
}
