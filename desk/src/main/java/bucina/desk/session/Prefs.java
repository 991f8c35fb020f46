package bucina.desk.session;

import bucina.core.measure.Unit;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the builder likes: kept beside no build. A file that cannot be read or written is as good as none. */
public final class Prefs {

    private static final int RECENT = 8;

    /** What the builder rivets with. */
    public enum Rivets {
        SOLID,
        PULLED,
        BOTH
    }

    private final Path file;
    private final Properties values = new Properties();

    private Prefs(Path file) {
        this.file = file;
    }

    /** Reads the preferences of a folder; it need not be there. */
    public static Prefs in(Path folder) {
        Prefs prefs = new Prefs(folder.resolve("desk.properties"));
        if (Files.isRegularFile(prefs.file)) {
            try (Reader reader = Files.newBufferedReader(prefs.file)) {
                prefs.values.load(reader);
            } catch (IOException | IllegalArgumentException e) {
                prefs.values.clear();
            }
        }
        return prefs;
    }

    /** Where they are kept. */
    Path folder() {
        return file.resolveSibling(".").normalize();
    }

    /** True for the dark variant. */
    public boolean dark() {
        return Boolean.parseBoolean(values.getProperty("dark", "false"));
    }

    /** The unit shown; empty to follow the drawings. */
    public Optional<Unit> unit() {
        return switch (values.getProperty("unit", "")) {
            case "in" -> Optional.of(Unit.INCH);
            case "mm" -> Optional.of(Unit.MM);
            default -> Optional.empty();
        };
    }

    /** Size of text, 100 to 200 percent. */
    public int scale() {
        try {
            return Math.clamp(Integer.parseInt(values.getProperty("scale", "100")), 100, 200);
        } catch (NumberFormatException e) {
            return 100;
        }
    }

    /** True if alarms are heard as well as seen. */
    public boolean sound() {
        return Boolean.parseBoolean(values.getProperty("sound", "true"));
    }

    /** Who logged last. */
    public String who() {
        return values.getProperty("who", "");
    }

    /** The folder that is watched for photographs; empty for none. */
    public String photos() {
        return values.getProperty("photos", "");
    }

    /** The build opened last. */
    public Optional<Path> last() {
        return Optional.ofNullable(values.getProperty("last")).map(Path::of).filter(Files::isRegularFile);
    }

    /** Builds opened before that are still there, the last one first. */
    public List<Path> recent() {
        return values.getProperty("recent", "")
                .lines()
                .map(Path::of)
                .filter(Files::isRegularFile)
                .toList();
    }

    /** Keeps that a build was opened. */
    void opened(Path build) {
        Path path = build.toAbsolutePath();
        String recent = Stream.concat(Stream.of(path), recent().stream().filter(p -> !p.equals(path)))
                .limit(RECENT)
                .map(Path::toString)
                .collect(Collectors.joining("\n"));
        values.setProperty("recent", recent);
        keep("last", path.toString());
    }

    /** True once the questions of the first start were answered, or a build was opened without them. */
    public boolean begun() {
        return values.containsKey("begun") || values.containsKey("last");
    }

    /** Which rivets the builder works with; both where nobody has said it. */
    public Rivets rivets() {
        try {
            return Rivets.valueOf(values.getProperty("rivets", Rivets.BOTH.name()));
        } catch (IllegalArgumentException e) {
            return Rivets.BOTH;
        }
    }

    /** The rules for a new build: as shipped, with the schools that the builder chose. */
    public RuleSet schooled(RuleSet rules) {
        RuleSet schooled = rules;
        for (RuleKey key : List.of(RuleKey.COUNTERSINK_SCHOOL, RuleKey.SHOP_SCHOOL)) {
            String chosen = values.getProperty(key.code(), "");
            if (key.choices().stream().anyMatch(c -> c.code().equals(chosen))
                    && !rules.rule(key).value().equals(chosen)) {
                schooled = schooled.with(key, chosen, "chosen at the first start");
            }
        }
        return schooled;
    }

    /** How copies of builds are wanted; what cannot be read is as usual. */
    public CopyWish copies() {
        try {
            return new CopyWish(
                    Optional.of(values.getProperty("copies.folder", ""))
                            .filter(f -> !f.isBlank())
                            .map(Path::of),
                    CopyWish.Every.valueOf(values.getProperty(
                            "copies.every", CopyWish.USUAL.every().name())),
                    number("copies.many", CopyWish.USUAL.many()),
                    number("copies.days", CopyWish.USUAL.days()));
        } catch (IllegalArgumentException e) {
            return CopyWish.USUAL;
        }
    }

    private int number(String key, int usual) {
        return Integer.parseInt(values.getProperty(key, String.valueOf(usual)));
    }

    /** Keeps how copies are wanted. */
    public void keep(CopyWish wish) {
        values.setProperty("copies.folder", wish.folder().map(Path::toString).orElse(""));
        values.setProperty("copies.every", wish.every().name());
        values.setProperty("copies.many", String.valueOf(wish.many()));
        keep("copies.days", String.valueOf(wish.days()));
    }

    /** A value that was kept; empty if there is none. */
    public Optional<String> text(String key) {
        return Optional.ofNullable(values.getProperty(key));
    }

    /** Keeps one value: {@code dark}, {@code unit}, {@code scale}, {@code who}, {@code sound} or {@code last}. */
    public void keep(String key, String value) {
        values.setProperty(key, value);
        try {
            Files.createDirectories(file.getParent());
            try (Writer writer = Files.newBufferedWriter(file)) {
                values.store(writer, "Bucina");
            }
        } catch (IOException e) {
            // The preference holds until the window closes; nothing of the build depends on it.
        }
    }
}
