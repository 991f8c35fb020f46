package bucina.store.svg;

import bucina.core.measure.InputException;
import bucina.store.curve.Lefts;
import bucina.store.drawing.Limits;
import bucina.store.drawing.Progress;
import java.io.InputStream;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.jspecify.annotations.Nullable;

/**
 * The elements of a file.
 *
 * @param root   the outermost svg
 * @param byId   the first of each id
 * @param styles what stands in style elements, in order
 */
record SvgTree(SvgNode root, Map<String, SvgNode> byId, List<String> styles) {

    private static final int DEEPEST = 200;
    private static final int ELEMENTS = 2 * Limits.SHAPES;
    private static final String SVG = "http://www.w3.org/2000/svg";

    /** Elements of other programs are kept under this name. */
    static final String FOREIGN = "element of another program";

    /**
     * Reads a file.
     *
     * @throws InputException if it is no SVG, or is damaged
     */
    static SvgTree read(String text, Lefts lefts, Progress progress) {
        try {
            XMLStreamReader xml = factory().createXMLStreamReader(new StringReader(text));
            return new Reading(text, lefts, progress).read(xml);
        } catch (XMLStreamException e) {
            String where =
                    e.getLocation() == null ? "" : " at line " + e.getLocation().getLineNumber();
            throw new InputException(
                    "this is no SVG, or it is damaged" + where + ": an SVG is XML with <svg> outermost", e);
        }
    }

    /** Entities of the file itself are read, as some programs write names of spaces with them; nothing is fetched. */
    private static XMLInputFactory factory() {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLConstants.ACCESS_EXTERNAL_DTD, "");
        factory.setXMLResolver((publicId, systemId, base, space) -> InputStream.nullInputStream());
        factory.setProperty("jdk.xml.entityExpansionLimit", 1000);
        factory.setProperty("jdk.xml.totalEntitySizeLimit", 200_000);
        factory.setProperty("jdk.xml.maxGeneralEntitySizeLimit", 50_000);
        // Java's own limit is lower and does not say so.
        factory.setProperty("jdk.xml.maxElementDepth", DEEPEST + 2);
        factory.setProperty(XMLInputFactory.IS_COALESCING, true);
        return factory;
    }

    /** What is gathered while a file is read. */
    private static final class Reading {
        private final String text;
        private final Lefts lefts;
        private final Progress progress;
        private final Map<String, SvgNode> byId = new HashMap<>();
        private final List<String> styles = new ArrayList<>();
        private @Nullable SvgNode root;
        private @Nullable SvgNode now;
        private int depth;
        private int elements;

        Reading(String text, Lefts lefts, Progress progress) {
            this.text = text;
            this.lefts = lefts;
            this.progress = progress;
        }

        SvgTree read(XMLStreamReader xml) throws XMLStreamException {
            while (xml.hasNext()) {
                switch (xml.next()) {
                    case XMLStreamConstants.START_ELEMENT -> start(xml);
                    case XMLStreamConstants.END_ELEMENT -> {
                        now = now == null ? null : now.parent().orElse(null);
                        depth--;
                    }
                    case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
                        if (now != null && now.name().equals("style")) {
                            styles.add(xml.getText());
                        }
                    }
                    case XMLStreamConstants.PROCESSING_INSTRUCTION -> instruction(xml.getPITarget());
                    default -> {}
                }
            }
            if (root == null) {
                throw new InputException("this is no SVG: it has no <svg> element");
            }
            return new SvgTree(root, byId, styles);
        }

        private void instruction(String target) {
            if (target.equals("xml-stylesheet")) {
                lefts.add("style sheet", "", "it is another file, and nothing is fetched", Optional.empty());
            }
        }

        private void start(XMLStreamReader xml) {
            String space = xml.getNamespaceURI();
            boolean foreign = space != null && !space.isEmpty() && !space.equals(SVG);
            String name = foreign ? FOREIGN : xml.getLocalName();
            if (++depth > DEEPEST) {
                throw new InputException("the SVG nests over " + DEEPEST + " elements deep: no drawing does");
            }
            if (++elements > ELEMENTS) {
                throw new InputException("the SVG has over " + ELEMENTS + " elements: bring in one sheet at a time");
            }
            if ((elements & 511) == 0) {
                progress.check(
                        Math.min(0.5, 0.5 * xml.getLocation().getCharacterOffset() / Math.max(1, text.length())));
            }
            if (root == null && !name.equals("svg")) {
                throw new InputException("this is no SVG: it begins with <"
                        + xml.getLocalName().toLowerCase(Locale.ROOT) + "> where <svg> stands");
            }
            now = new SvgNode(name, now, attributes(xml));
            if (root == null) {
                root = now;
            }
            byId.putIfAbsent(now.text("id"), now);
        }

        private static String[] attributes(XMLStreamReader xml) {
            int n = xml.getAttributeCount();
            String[] all = new String[2 * n];
            for (int i = 0; i < n; i++) {
                String space = xml.getAttributeNamespace(i);
                String local = xml.getAttributeLocalName(i);
                boolean editor = space != null && space.endsWith("/namespaces/inkscape");
                all[2 * i] = editor ? "layer-" + local : local;
                all[2 * i + 1] = xml.getAttributeValue(i);
            }
            return all;
        }
    }
}
