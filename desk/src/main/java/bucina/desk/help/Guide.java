package bucina.desk.help;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Code;
import org.commonmark.node.Heading;
import org.commonmark.node.HtmlBlock;
import org.commonmark.node.Link;
import org.commonmark.node.Node;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;

/** The user's guide, page by page: what each is about, and where words stand. Reached from its first page by links. */
public final class Guide {

    /** The page everything is reached from. */
    public static final String FIRST = "index";

    private static final String TERMS = "terms";
    private static final Pattern ABOUT = Pattern.compile("<!--\\s*shown:\\s*(.*?)\\s*-->", Pattern.DOTALL);
    private static final Parser PARSER =
            Parser.builder().extensions(List.of(TablesExtension.create())).build();

    /**
     * A place in the guide.
     *
     * @param page   the page's name, {@code sheet}
     * @param anchor a heading of it as links write it; empty for its top
     */
    public record Place(String page, String anchor) {}

    /**
     * One heading with what stands under it.
     *
     * @param title as it is read
     * @param key   of the rule, limit or sum it is about, {@code edge-distance-least}; empty for none
     * @param text  what stands under it, in plain words
     */
    public record Section(Place place, String title, String key, String text) {}

    /**
     * One page.
     *
     * @param shown    what on the screen it is about: names of rooms, cards and stages
     * @param sections with the page's own title first
     * @param links    where it leads, as written
     * @param pictures it shows, as written
     * @param tree     to be shown
     */
    public record Page(
            String name,
            List<String> shown,
            List<Section> sections,
            List<String> links,
            List<String> pictures,
            Node tree) {

        /** What it is called. */
        public String title() {
            return sections.getFirst().title();
        }

        /** True if a link to a heading of it leads somewhere. */
        public boolean has(String anchor) {
            return anchor.isEmpty()
                    || sections.stream().anyMatch(s -> s.place().anchor().equals(anchor));
        }
    }

    private final Map<String, Page> pages;
    private final Map<String, Place> places = new TreeMap<>();

    private Guide(Map<String, Page> pages) {
        this.pages = pages;
        pages.values().forEach(p -> {
            Place top = p.sections().getFirst().place();
            p.shown().forEach(s -> places.put(s, new Place(top.page(), "")));
            p.sections().stream().filter(s -> !s.key().isEmpty()).forEach(s -> places.put(s.key(), s.place()));
        });
        // A term is found by its heading; what is found by a key or a screen comes first.
        // Where a term and something else are called the same, the term is meant.
        Stream.concat(Optional.ofNullable(pages.get(TERMS)).stream(), pages.values().stream())
                .flatMap(p -> p.sections().stream())
                .forEach(s -> places.putIfAbsent(s.title().toLowerCase(Locale.ROOT), s.place()));
    }

    private static final class Shipped {
        private static final Guide GUIDE = of(Guide::resource);
    }

    /** The guide that ships with the program; read when it is first asked for. */
    public static Guide shipped() {
        return Shipped.GUIDE;
    }

    private static String resource(String name) {
        try (InputStream in = Guide.class.getResourceAsStream("/bucina/desk/guide/" + name + ".md")) {
            if (in == null) {
                throw new IllegalStateException("the guide lacks its page " + name);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A guide whose pages are given by name. */
    static Guide of(Function<String, String> text) {
        Map<String, Page> pages = new LinkedHashMap<>();
        Deque<String> wanted = new ArrayDeque<>(List.of(FIRST));
        while (!wanted.isEmpty()) {
            String name = wanted.poll();
            if (!pages.containsKey(name)) {
                Page page = page(name, text.apply(name));
                pages.put(name, page);
                page.links().stream().flatMap(l -> place(l, name).stream()).forEach(p -> wanted.add(p.page()));
            }
        }
        return new Guide(pages);
    }

    /** Where a link of a page leads; empty if it leads out of the guide. */
    static Optional<Place> place(String link, String from) {
        int hash = link.indexOf('#');
        String file = hash < 0 ? link : link.substring(0, hash);
        String anchor = hash < 0 ? "" : link.substring(hash + 1);
        if (file.isEmpty()) {
            return Optional.of(new Place(from, anchor));
        }
        return file.endsWith(".md") && !file.contains("/")
                ? Optional.of(new Place(file.substring(0, file.length() - 3), anchor))
                : Optional.empty();
    }

    private static Page page(String name, String text) {
        Node tree = PARSER.parse(text);
        Gathering all = new Gathering(name);
        tree.accept(all);
        all.end();
        if (all.sections.isEmpty()) {
            throw new IllegalStateException("the page " + name + " of the guide has no title");
        }
        return new Page(
                name, List.copyOf(all.shown), List.copyOf(all.sections), List.copyOf(all.links), all.pictures, tree);
    }

    /** A heading as links write it: small letters, blanks as dashes, nothing else but letters and figures. */
    static String anchor(String title) {
        return title.toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N} _-]", "")
                .strip()
                .replace(' ', '-');
    }

    /** The words of a piece of a page. */
    static String words(Node node) {
        StringBuilder words = new StringBuilder();
        node.accept(new AbstractVisitor() {
            @Override
            public void visit(Text text) {
                words.append(text.getLiteral());
            }

            @Override
            public void visit(Code code) {
                words.append(code.getLiteral());
            }

            @Override
            public void visit(SoftLineBreak line) {
                words.append(' ');
            }
        });
        return words.toString();
    }

    /** A heading as it is read: without its key. */
    static String title(Heading heading) {
        StringBuilder title = new StringBuilder();
        for (Node n = heading.getFirstChild(); n != null; n = n.getNext()) {
            title.append(n instanceof Code ? "" : words(n));
        }
        return title.toString().strip();
    }

    /** The key that stands in a heading; empty for none. */
    static String key(Heading heading) {
        for (Node n = heading.getFirstChild(); n != null; n = n.getNext()) {
            if (n instanceof Code code) {
                return code.getLiteral();
            }
        }
        return "";
    }

    private static final class Gathering extends AbstractVisitor {
        private final String page;
        private final List<String> shown = new ArrayList<>();
        private final List<Section> sections = new ArrayList<>();
        private final List<String> links = new ArrayList<>();
        private final List<String> pictures = new ArrayList<>();
        private final StringBuilder text = new StringBuilder();
        private Optional<Heading> under = Optional.empty();

        private Gathering(String page) {
            this.page = page;
        }

        private void end() {
            under.ifPresent(h -> {
                String words = words(h);
                String key = key(h);
                sections.add(new Section(
                        new Place(page, sections.isEmpty() ? "" : anchor(words)),
                        title(h),
                        key,
                        text.toString().strip()));
            });
            text.setLength(0);
        }

        @Override
        public void visit(Heading heading) {
            end();
            under = Optional.of(heading);
        }

        @Override
        public void visit(HtmlBlock block) {
            Matcher about = ABOUT.matcher(block.getLiteral());
            if (about.find()) {
                shown.addAll(List.of(about.group(1).split("\\s+")));
            }
        }

        @Override
        public void visit(Link link) {
            links.add(link.getDestination());
            visitChildren(link);
        }

        @Override
        public void visit(org.commonmark.node.Image image) {
            pictures.add(image.getDestination());
        }

        @Override
        public void visit(Text words) {
            text.append(words.getLiteral()).append(' ');
        }

        @Override
        public void visit(Code code) {
            text.append(code.getLiteral()).append(' ');
        }
    }

    /** Every page, as they are reached. */
    public List<Page> pages() {
        return List.copyOf(pages.values());
    }

    /** A page by its name. */
    public Optional<Page> page(String name) {
        return Optional.ofNullable(pages.get(name));
    }

    /** Where something is explained: a screen, the key of a rule, a limit or a sum, or a term. */
    public Optional<Place> about(String key) {
        return Optional.ofNullable(places.get(key))
                .or(() -> Optional.ofNullable(places.get(key.toLowerCase(Locale.ROOT))));
    }

    /**
     * The term that a number's title names, {@code Edge distance} for {@code Edge, least 2.5 D}; the page about numbers
     * where none does.
     */
    public String term(String title) {
        String first = title.split("[,(:]")[0].strip().toLowerCase(Locale.ROOT);
        List<String> terms = places.entrySet().stream()
                .filter(e -> e.getValue().page().equals(TERMS))
                .map(Map.Entry::getKey)
                .toList();
        return terms.stream()
                .filter(k -> k.equals(first))
                .findFirst()
                .or(() -> terms.stream().filter(k -> k.startsWith(first + " ")).findFirst())
                .orElse("WhyCard");
    }

    /** Sections in which all the words stand, those with most of them in the title first. */
    public List<Section> find(String words, int most) {
        List<String> wanted = List.of(words.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        return pages.values().stream()
                .flatMap(p -> p.sections().stream())
                .filter(s -> wanted.stream().allMatch(w -> all(s).contains(w)))
                .sorted(Comparator.comparingLong((Section s) -> wanted.stream()
                        .filter(w -> !s.title().toLowerCase(Locale.ROOT).contains(w))
                        .count()))
                .limit(most)
                .toList();
    }

    private static String all(Section s) {
        return (s.title() + " " + s.key() + " " + s.text()).toLowerCase(Locale.ROOT);
    }
}
