package bucina.desk.session;

import bucina.store.file.Loss;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What would be lost, in words. */
final class LossWords {

    private LossWords() {}

    /** {@code Lost would be: entries 41 to 43, 12 marks, what became of the plan since.} */
    static String of(Loss loss) {
        if (loss.nothing()) {
            return "Nothing would be lost.";
        }
        List<String> parts = new ArrayList<>();
        if (!loss.entries().isEmpty()) {
            parts.add((loss.entries().size() == 1 ? "entry " : "entries ") + numbers(loss.entries()));
        }
        loss.marks().stream().filter(m -> m > 0).forEach(m -> parts.add(m == 1 ? "1 mark" : m + " marks"));
        if (loss.plan() == Loss.Plan.CHANGED) {
            parts.add("the changes of the plan");
        }
        String told = parts.isEmpty() ? "" : "Lost would be " + String.join(", ", parts) + ".";
        return told + (unknown(loss) ? (told.isEmpty() ? "" : " ") + unknownWords(loss) : "");
    }

    private static boolean unknown(Loss loss) {
        return !loss.whole() || loss.marks().isEmpty() || loss.plan() == Loss.Plan.UNKNOWN;
    }

    private static String unknownWords(Loss loss) {
        List<String> what = new ArrayList<>();
        if (!loss.whole()) {
            what.add("entries");
        }
        if (loss.marks().isEmpty()) {
            what.add("marks");
        }
        if (loss.plan() == Loss.Plan.UNKNOWN) {
            what.add("changes of the plan");
        }
        return "Whether " + String.join(" or ", what) + " were added since cannot be read any more.";
    }

    /** {@code 41 to 43, 45}. */
    private static String numbers(List<Integer> numbers) {
        List<List<Integer>> runs = new ArrayList<>();
        for (int n : numbers) {
            if (!runs.isEmpty() && runs.getLast().getLast() == n - 1) {
                runs.getLast().add(n);
            } else {
                runs.add(new ArrayList<>(List.of(n)));
            }
        }
        return runs.stream()
                .map(r -> switch (r.size()) {
                    case 1 -> String.valueOf(r.getFirst());
                    case 2 -> r.getFirst() + ", " + r.getLast();
                    default -> r.getFirst() + " to " + r.getLast();
                })
                .collect(Collectors.joining(", "));
    }
}
