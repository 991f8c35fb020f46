package bucina.desk.help;

import bucina.desk.look.Ui;
import java.net.URL;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextFlow;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TableRow;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.BlockQuote;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.CustomBlock;
import org.commonmark.node.CustomNode;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.Heading;
import org.commonmark.node.Link;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.node.Text;

/** A page of the guide as nodes: headings, running text with links, lists, tables, pictures that open in large. */
final class Markdown extends AbstractVisitor {

    /** What a page asks of the window. */
    interface Host {
        /** Follows a link as it is written. */
        void follow(String link);

        /** Shows a picture in large. */
        void enlarge(URL picture, String what);
    }

    private static final double PICTURE = 288;

    private final Host host;
    private final VBox page = new VBox(8);
    private final Deque<Pane> into = new ArrayDeque<>();
    private final Map<String, Region> anchors = new LinkedHashMap<>();
    private Optional<TextFlow> line = Optional.empty();
    private boolean strong;
    private int number;

    private Markdown(Host host) {
        this.host = host;
        into.push(page);
    }

    /**
     * A page drawn.
     *
     * @param anchors its headings, by what links call them
     */
    record Drawn(VBox node, Map<String, Region> anchors) {}

    static Drawn draw(Guide.Page page, Host host) {
        Markdown all = new Markdown(host);
        page.tree().accept(all);
        return new Drawn(all.page, all.anchors);
    }

    private void block(Region node) {
        into.element().getChildren().add(node);
    }

    private void running(Node of) {
        TextFlow flow = new TextFlow();
        flow.setLineSpacing(2);
        flow.setAccessibleText(Guide.words(of));
        line = Optional.of(flow);
        visitChildren(of);
        line = Optional.empty();
        block(flow);
    }

    @Override
    public void visit(Heading heading) {
        Label label = Ui.wrapped(Guide.title(heading), heading.getLevel() == 1 ? "bench-title" : "guide-heading");
        anchors.put(Guide.anchor(Guide.words(heading)), label);
        block(label);
    }

    @Override
    public void visit(Paragraph paragraph) {
        if (paragraph.getFirstChild() instanceof org.commonmark.node.Image image && image.getNext() == null) {
            picture(image);
        } else {
            running(paragraph);
        }
    }

    private void picture(org.commonmark.node.Image image) {
        String file = image.getDestination().replaceFirst("^\\.\\./screenshots/", "");
        URL url = Markdown.class.getResource("/bucina/desk/screenshots/" + file);
        if (url == null) {
            throw new IllegalStateException("the guide lacks its picture " + file);
        }
        String what = Guide.words(image);
        ImageView view = new ImageView(new Image(url.toExternalForm(), 2 * PICTURE, 0, true, true, true));
        view.setFitWidth(PICTURE);
        view.setPreserveRatio(true);
        Button large = new Button("", view);
        large.getStyleClass().addAll("quiet", "guide-picture");
        large.setAccessibleText("Picture: " + what + ". Show it large");
        large.setOnAction(e -> host.enlarge(url, what));
        block(large);
        block(Ui.wrapped(what, "tiny"));
    }

    @Override
    public void visit(BulletList list) {
        list(list, false);
    }

    @Override
    public void visit(OrderedList list) {
        list(list, true);
    }

    private void list(Node list, boolean numbered) {
        VBox items = new VBox(4);
        block(items);
        into.push(items);
        int outer = number;
        number = numbered ? 1 : 0;
        visitChildren(list);
        number = outer;
        into.pop();
    }

    @Override
    public void visit(ListItem item) {
        VBox text = new VBox(4);
        HBox.setHgrow(text, Priority.ALWAYS);
        block(new HBox(6, Ui.kept(number > 0 ? number++ + "." : "·", "soft"), text));
        into.push(text);
        int outer = number;
        visitChildren(item);
        number = outer;
        into.pop();
    }

    @Override
    public void visit(BlockQuote quote) {
        VBox box = new VBox(4);
        box.getStyleClass().add("guide-caution");
        block(box);
        into.push(box);
        visitChildren(quote);
        into.pop();
    }

    @Override
    public void visit(FencedCodeBlock code) {
        block(Ui.wrapped(code.getLiteral().stripTrailing(), "formula"));
    }

    @Override
    public void visit(CustomBlock block) {
        if (block instanceof TableBlock) {
            GridPane table = new GridPane();
            table.setHgap(10);
            table.setVgap(4);
            block(table);
            block.accept(new Cells(table));
        }
    }

    /** The cells of a table, each with running text. */
    private final class Cells extends AbstractVisitor {
        private final GridPane table;
        private int row = -1;
        private int column;

        private Cells(GridPane table) {
            this.table = table;
        }

        @Override
        public void visit(CustomNode node) {
            if (node instanceof TableRow) {
                row++;
                column = 0;
            } else if (node instanceof TableCell cell) {
                VBox box = new VBox();
                table.add(box, column++, row);
                if (column > 1) {
                    GridPane.setHgrow(box, Priority.ALWAYS);
                }
                into.push(box);
                strong = cell.isHeader();
                running(cell);
                strong = false;
                into.pop();
                return;
            }
            visitChildren(node);
        }
    }

    @Override
    public void visit(StrongEmphasis words) {
        strong = true;
        visitChildren(words);
        strong = false;
    }

    private void word(String text, String style) {
        line.ifPresent(l -> l.getChildren().add(Ui.text(text, "guide-text", style)));
    }

    @Override
    public void visit(Text text) {
        word(text.getLiteral(), strong ? "guide-strong" : "guide-plain");
    }

    @Override
    public void visit(SoftLineBreak end) {
        word(" ", "guide-plain");
    }

    @Override
    public void visit(Code code) {
        word(code.getLiteral(), "guide-strong");
    }

    @Override
    public void visit(Link link) {
        Hyperlink hyperlink = new Hyperlink(Guide.words(link));
        hyperlink.getStyleClass().add("guide-link");
        hyperlink.setOnAction(e -> host.follow(link.getDestination()));
        line.ifPresent(l -> l.getChildren().add(hyperlink));
    }
}
