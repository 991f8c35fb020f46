package bucina.store.drawing;

import bucina.core.log.CloseOut;
import bucina.core.log.Deed;
import bucina.core.log.GaugeCheck;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Proof;
import bucina.core.log.Reset;
import bucina.core.log.Seen;
import bucina.core.log.Taken;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What an entry says, in the words of the evidence. */
final class EvidenceLines {

    private final Unit unit;

    EvidenceLines(Unit unit) {
        this.unit = unit;
    }

    /** What was done, in a few words. */
    String what(LogEntry entry) {
        return entry.deed()
                .map(d -> switch (d) {
                    case Work w -> work(w);
                    case Labour l -> l.what().words();
                })
                .orElse("withdraws entry " + entry.corrects().orElse(0));
    }

    private String work(Work w) {
        return w.count() + " × " + w.designation() + " in " + w.groupCode()
                + (w.holes().isEmpty() ? "" : " " + ranges(w.holes()));
    }

    /** Everything else an entry says, a sentence each. */
    List<String> more(LogEntry entry) {
        List<String> more = new ArrayList<>();
        entry.deed().ifPresent(d -> {
            switch (d) {
                case Work w -> more(w, more);
                case Labour l -> more(l.what(), more);
            }
            add(more, "Because", d.explanation());
            add(more, "Note", d.note());
        });
        entry.corrects().ifPresent(c -> more.add("Corrects entry " + c + ": " + entry.reason() + "."));
        return more;
    }

    private void more(Work w, List<String> more) {
        w.removal()
                .ifPresent(r -> more.add("Drilled out: " + r.why()
                        + r.hole().map(h -> "; the hole measured " + show(h)).orElse("") + "."));
        w.length().ifPresent(l -> more.add("Length " + show(l) + "."));
        List<String> up = new ArrayList<>();
        if (!w.setup().tool().isBlank()) {
            up.add(w.setup().tool());
        }
        if (!w.setup().die().isBlank()) {
            up.add(w.setup().die());
        }
        w.setup().setting().ifPresent(s -> up.add("gap " + show(s)));
        w.setup().hole().ifPresent(h -> up.add("hole " + show(h)));
        if (!up.isEmpty()) {
            more.add("Set-up: " + String.join(", ", up) + ".");
        }
        if (!w.readings().isEmpty()) {
            more.add("Heads measured: "
                    + w.readings().stream().map(this::reading).collect(Collectors.joining(", ")) + ".");
        }
        w.rejects()
                .forEach(r -> more.add("Reject: " + (r.hole().isEmpty() ? r.count() + "" : r.hole()) + ", "
                        + r.what().words() + (r.note().isBlank() ? "" : ", " + r.note()) + "."));
    }

    private void more(Labour.What what, List<String> more) {
        switch (what) {
            case Labour.Holes h ->
                h.sweeps()
                        .forEach(s -> more.add(upper(s.operation().code().replace('-', ' ')) + " " + s.code() + " "
                                + ranges(s.holes())
                                + s.tightened().map(t -> ", " + t.words()).orElse("") + "."));
            case Labour.Found f -> {
                if (!f.holes().isEmpty()) {
                    more.add("Holes " + ranges(f.holes()) + ".");
                }
            }
            case Proof p -> p.heads().forEach(h -> more.add(head(h)));
            case GaugeCheck c -> more.add("Known " + show(c.known()) + ", read " + show(c.read()) + ".");
            case CloseOut c -> {
                c.open().forEach(o -> more.add("Left open: " + o.point() + ", because " + o.reason() + "."));
                c.counted()
                        .forEach(k -> more.add("Counted out: " + k.out() + " " + k.what()
                                + (k.due() > 0 ? " of " + k.due() : "") + "."));
            }
            case Taken t -> more.add(t.unit().words(t.value(), unit) + (t.held() ? "." : ", out of limits."));
            case Labour.OnPart p -> {}
            case Labour.Own o -> {}
            case Labour.Stock s -> {}
            case Reset r -> {}
        }
    }

    private String head(Proof.Head h) {
        String seen = h.seen().stream().map((Seen s) -> s.words(unit)).collect(Collectors.joining(", "));
        return h.called() + ": "
                + h.reading().map(this::reading).orElse(h.go() ? "the go gauge passes it" : "looked at")
                + (seen.isEmpty() ? "" : ", " + seen) + ". By the table: "
                + h.judged().words() + "; decided: "
                + h.decided().words() + (h.reason().isBlank() ? "" : ", " + h.reason()) + ".";
    }

    String reading(Work.Reading r) {
        return (r.hole().isEmpty() ? "" : r.hole() + " ") + show(r.diameter()) + " × " + show(r.height());
    }

    private static void add(List<String> more, String name, String text) {
        if (!text.isBlank()) {
            more.add(name + ": " + text.strip() + (text.strip().endsWith(".") ? "" : "."));
        }
    }

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private String show(Length length) {
        return LengthFormat.trade(length, unit);
    }

    /** Labels with runs drawn together: {@code R1.1–R1.14, R2.3}. */
    static String ranges(List<Work.LoggedHole> holes) {
        Map<String, List<Integer>> rows = new LinkedHashMap<>();
        for (Work.LoggedHole hole : holes) {
            int dot = hole.label().lastIndexOf('.');
            String number = hole.label().substring(dot + 1);
            rows.computeIfAbsent(hole.label().substring(0, Math.max(0, dot)), r -> new ArrayList<>())
                    .add(number.matches("\\d{1,9}") ? Integer.parseInt(number) : 0);
        }
        List<String> parts = new ArrayList<>();
        rows.forEach((row, numbers) -> runs(row, numbers.stream().sorted().toList(), parts));
        return String.join(", ", parts);
    }

    private static void runs(String row, List<Integer> numbers, List<String> parts) {
        int from = 0;
        for (int i = 1; i <= numbers.size(); i++) {
            if (i == numbers.size() || numbers.get(i) != numbers.get(i - 1) + 1) {
                String first = row + "." + numbers.get(from);
                parts.add(i - from == 1 ? first : first + "–" + numbers.get(i - 1));
                from = i;
            }
        }
    }

    /** Who did it. */
    static String who(LogEntry entry) {
        return entry.deed().map(Deed::who).orElse("");
    }
}
