package bucina.desk.cli;

import bucina.core.form.Entries;
import bucina.core.guard.LogCheck;
import bucina.core.log.Disposition;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Used;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Row;
import bucina.desk.session.PhotoFiles;
import bucina.store.Photo;
import bucina.store.file.BuildFile;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
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

    @Option(names = "--group", required = true, description = "Code of the group: US-1")
    private String group;

    @Option(names = "--row", description = "Name of the row: R3")
    private @Nullable String row;

    @Option(
            names = "--holes",
            description = "Labels in that row: 1-40 or 1,3,5-9. Without it all that are not set yet.")
    private @Nullable String holes;

    @Option(names = "--count", description = "How many, for a group without holes. Without it all that are left.")
    private @Nullable Integer count;

    @Option(names = "--designation", required = true, description = "As used: MS20426AD3-3.5")
    private String designation;

    @Option(names = "--length", description = "Length as used, where it was cut.")
    private @Nullable String length;

    @Option(names = "--who", required = true, description = "Who did it.")
    private String who;

    @Option(names = "--at", required = true, description = "When it was done: 2026-11-20T19:30")
    private String at;

    @Option(names = "--minutes", required = true, description = "Time taken, whole minutes.")
    private int minutes;

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

    @Option(names = "--corrects", description = "Number of the entry this one stands in place of.")
    private @Nullable Integer corrects;

    @Override
    public Integer call() {
        try (BuildFile file = common.told(BuildFile.open(log.file()))) {
            OnBuild.Opened opened = log.derived(file);
            List<Photo> pictures = photos.stream().map(PhotoFiles::read).toList();
            LogEntry.Draft draft = draft(opened, pictures);
            LocalDateTime now = LocalDateTime.now(common.top().clock());
            LogEntry entry = file.append(draft, pictures, common.top().clock(), others -> {
                OnBuild.Opened is = others.map(log::derived).orElse(opened);
                new LogCheck(is.derivation(), is.log()).accept(draft, now);
            });
            common.answer(Common.object().put("id", entry.id()), List.of(Integer.toString(entry.id())));
            return Cli.FINE;
        }
    }

    private LogEntry.Draft draft(OnBuild.Opened opened, List<Photo> pictures) {
        Group found = opened.build()
                .group(group)
                .orElseThrow(() -> Common.wrong("there is no group \"" + group + "\"; this build has "
                        + opened.build().faces().stream()
                                .flatMap((Build.FaceRef f) -> f.face().groups().stream())
                                .map(Group::code)
                                .collect(Collectors.joining(", "))))
                .group();
        Used used = Used.parse(found.fastener(), designation);
        Optional<Length> usedLength = length == null || used.length().isEmpty()
                ? used.length()
                : Optional.of(common.lengths().parsePositive(length, "--length"));
        List<Work.LoggedHole> named = holes(found, opened.log());
        int many = found.typed().isPresent()
                ? count == null ? found.count() - opened.log().installed(found) : count
                : named.size();
        Work.Setup setup = new Work.Setup(tool, optional(setting, "--setting"), optional(holeSize, "--hole-size"));
        Work work = new Work(
                found.id(),
                found.code(),
                named,
                many,
                used.code(),
                usedLength,
                who,
                Entries.when(at),
                minutes,
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
