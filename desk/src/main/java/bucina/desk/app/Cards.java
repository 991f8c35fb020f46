package bucina.desk.app;

import bucina.core.explain.Why;
import bucina.core.log.Labour;
import bucina.core.plan.Id;
import bucina.desk.card.AboutCard;
import bucina.desk.card.ApartCard;
import bucina.desk.card.BaysCard;
import bucina.desk.card.BinsCard;
import bucina.desk.card.BringCard;
import bucina.desk.card.CalloutCard;
import bucina.desk.card.CheckCard;
import bucina.desk.card.CloseOutCard;
import bucina.desk.card.CopiesCard;
import bucina.desk.card.DoubtCard;
import bucina.desk.card.GagingCard;
import bucina.desk.card.GaugeCard;
import bucina.desk.card.HatchCard;
import bucina.desk.card.KeysCard;
import bucina.desk.card.LostCard;
import bucina.desk.card.MergeCard;
import bucina.desk.card.MixCard;
import bucina.desk.card.NutPlateCard;
import bucina.desk.card.OutCard;
import bucina.desk.card.PackingCard;
import bucina.desk.card.PanelCard;
import bucina.desk.card.PartListsCard;
import bucina.desk.card.PhotosCard;
import bucina.desk.card.PictureCard;
import bucina.desk.card.ReachCard;
import bucina.desk.card.RibCard;
import bucina.desk.card.SearchCard;
import bucina.desk.card.StationsCard;
import bucina.desk.card.StructureCard;
import bucina.desk.card.TemporaryCard;
import bucina.desk.card.TypedCard;
import bucina.desk.card.WhatIfCard;
import bucina.desk.card.WhyCard;
import bucina.desk.card.WorkCard;
import bucina.desk.gauge.GaugePost;
import bucina.desk.help.Guide;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.session.Command;
import bucina.desk.session.Desk;
import bucina.desk.session.Finder;
import bucina.desk.session.Lost;
import bucina.desk.session.ToOpen;
import java.net.URL;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** The cards that lie over the window, one at a time; what is put away or replaced is closed. */
public final class Cards implements AutoCloseable {

    /** What lies under a card that is worked with is not dimmed. */
    private static final PseudoClass CLEAR = PseudoClass.getPseudoClass("clear");

    private final Desk desk;
    private final GaugePost gauge;
    private final Supplier<Palette> palette;
    private final Consumer<ToOpen> open;
    private final Runnable back;
    private final StackPane veil = new StackPane();
    private Optional<Shown> card = Optional.empty();
    /** A card that comes back when the one about the lost file is put away. */
    private Optional<Shown> under = Optional.empty();

    /**
     * @param palette the colours in force
     * @param open    opens another build in the place of this one
     * @param back    gives the keyboard back to what lies under the card
     */
    Cards(Desk desk, GaugePost gauge, Supplier<Palette> palette, Consumer<ToOpen> open, Runnable back) {
        this.desk = desk;
        this.gauge = gauge;
        this.palette = palette;
        this.open = open;
        this.back = back;
        veil.getStyleClass().add("veil");
        veil.setVisible(false);
        veil.setOnMouseClicked(e -> {
            if (e.getTarget() == veil) {
                putAway();
            }
        });
    }

    /** What is laid over the window. */
    Node veil() {
        return veil;
    }

    /** True while a card lies over the window. */
    boolean covered() {
        return card.isPresent();
    }

    /** What the guide calls the card that lies over the window; empty if there is none. */
    Optional<String> shown() {
        return card.map(c -> c.getClass().getSimpleName());
    }

    /** Does what the card says that lies over the window; true if there is one. */
    boolean act() {
        card.ifPresent(Shown::act);
        return covered();
    }

    /** Puts the card away that lies over the window; true if there was one. */
    public boolean putAway() {
        boolean was = covered();
        drop();
        if (under.isPresent()) {
            Shown back = under.get();
            under = Optional.empty();
            lay(back);
            return was;
        }
        desk.whyProperty().set(Optional.empty());
        if (was) {
            back.run();
        }
        return was;
    }

    @Override
    public void close() {
        drop();
        under.ifPresent(Shown::close);
        under = Optional.empty();
    }

    private void drop() {
        veil.setVisible(false);
        veil.getChildren().clear();
        card.ifPresent(Shown::close);
        card = Optional.empty();
    }

    private void show(Shown next, Pos where) {
        drop();
        StackPane.setAlignment(next.node(), where);
        StackPane.setMargin(next.node(), new Insets(70, 20, 40, 20));
        lay(next);
    }

    private void lay(Shown next) {
        card = Optional.of(next);
        veil.getChildren().setAll(next.node());
        veil.pseudoClassStateChanged(CLEAR, next instanceof GaugeCard);
        veil.setVisible(true);
        next.enter();
    }

    private void show(Shown next) {
        show(next, Pos.CENTER);
    }

    /** Shows a card that changes the build; nothing where the build is only read. */
    private void change(Supplier<Shown> next) {
        if (!desk.session().readOnly()) {
            show(next.get());
        }
    }

    void why(Why why) {
        show(new WhyCard(why, () -> desk.ask(Guide.shipped().term(why.title())), this::putAway));
    }

    void search(Finder finder) {
        show(new SearchCard(finder, this::putAway), Pos.TOP_CENTER);
    }

    void picture(URL picture, String what) {
        show(new PictureCard(picture, what, this::putAway));
    }

    void keys(List<Command> commands) {
        show(new KeysCard(desk, commands, this::putAway));
    }

    void about() {
        show(new AboutCard(desk.session().path(), this::putAway));
    }

    void check() {
        show(new CheckCard(desk, this::putAway));
    }

    void addTyped() {
        change(() -> new TypedCard(desk, this::putAway));
    }

    void makePanel() {
        change(() -> new PanelCard(
                desk.session(), desk.unit(), desk.prefs().rivets(), palette.get(), this::made, this::putAway));
    }

    public void bringIn() {
        change(() -> new BringCard(
                desk.session(),
                desk.unit(),
                Optional.of(desk.face().face().id()),
                palette.get(),
                this::made,
                this::putAway));
    }

    private void made(Id.Face face) {
        putAway();
        desk.show(face);
    }

    public void nutPlates() {
        change(() -> new NutPlateCard(desk, palette.get(), this::putAway));
    }

    public void mix() {
        show(new MixCard(desk, this::putAway));
    }

    public void apart() {
        desk.over().apart(a -> show(new ApartCard(desk, palette.get(), a, this::putAway)));
    }

    public void gauge() {
        show(new GaugeCard(desk.lengths(), desk.unit(), gauge, this::putAway), Pos.BOTTOM_LEFT);
    }

    public void reach() {
        show(new ReachCard(desk, this::putAway));
    }

    public void copies() {
        show(new CopiesCard(desk.session(), desk.prefs(), open, this::putAway));
    }

    /** Shows what happened to the build file; puts that card away once the file is back. */
    void lost(Optional<Lost> lost) {
        if (lost.isPresent()) {
            // What is typed into another card is kept under this one.
            if (card.isPresent() && !lostShown()) {
                under = card;
                card = Optional.empty();
            }
            show(new LostCard(desk.session(), lost.get(), desk.prefs().copies(), open, this::putAway));
        } else if (lostShown()) {
            putAway();
        }
    }

    private boolean lostShown() {
        return card.filter(c -> c instanceof LostCard).isPresent();
    }

    /**
     * Shows what work that sets no fastener is logged with.
     *
     * @param holes   holes that were worked while the timer ran
     * @param minutes by the timer; 0 if it did not run
     */
    void work(Optional<Labour.Holes> holes, int minutes) {
        change(() -> new WorkCard(desk, holes, minutes, this::putAway));
    }

    void bins() {
        show(new BinsCard(desk, this::putAway));
    }

    void ribs() {
        change(() -> new RibCard(desk, this::putAway));
    }

    void structure() {
        show(new StructureCard(desk, this::putAway));
    }

    void whatIf() {
        change(() -> new WhatIfCard(desk, this::putAway));
    }

    void hatches() {
        show(new HatchCard(desk, palette.get(), this::putAway));
    }

    void bays() {
        show(new BaysCard(desk, this::putAway));
    }

    public void closeOut() {
        show(new CloseOutCard(desk, this::photos, this::putAway));
    }

    void gagings() {
        show(new GagingCard(desk, this::putAway));
    }

    public void doubts() {
        show(new DoubtCard(desk, palette.get(), this::putAway));
    }

    public void photos() {
        show(new PhotosCard(desk, this::putAway));
    }

    void merge() {
        show(new MergeCard(desk, open, this::putAway));
    }

    void temporary() {
        show(new TemporaryCard(desk, this::putAway));
    }

    void partLists() {
        show(new PartListsCard(desk, this::putAway));
    }

    void packing() {
        change(() -> new PackingCard(desk, this::putAway));
    }

    void callouts() {
        change(() -> new CalloutCard(desk, this::putAway));
    }

    public void stations() {
        desk.cursor().ifPresent(c -> show(new StationsCard(c.row(), this::putAway)));
    }

    void writeOut(OutCard.What what) {
        show(new OutCard(desk, what, this::putAway));
    }
}
