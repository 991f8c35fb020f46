package bucina.desk.bench;

import bucina.core.log.Verdict;
import bucina.core.measure.Unit;
import bucina.core.prove.Judge;
import bucina.core.rule.ShopSchool;
import bucina.desk.look.Ui;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What the table says of a head: the school in force with its reason, then the other. */
final class VerdictView extends VBox {

    private final Label verdict = Ui.wrapped("", "verdict-word");
    private final Label why = Ui.wrapped("", "plain");
    private final Label other = Ui.wrapped("", "soft");

    VerdictView() {
        super(7);
        verdict.setId("prove-verdict");
        getChildren().addAll(verdict, why, other);
    }

    /**
     * Shows it.
     *
     * @param judged empty while nothing was measured or seen
     * @param not    why it cannot be judged; empty if it can
     */
    void show(Optional<Judge.Judgement> judged, String not, Unit unit) {
        verdict.setText(judged.map(j -> upper(j.said().verdict().words())).orElse(""));
        verdict.getStyleClass()
                .setAll(
                        "label",
                        "verdict-word",
                        tone(judged.map(j -> j.said().verdict()).orElse(Verdict.LEAVE)));
        Ui.shown(verdict, judged.isPresent());
        why.setText(judged.map(
                        j -> j.said().why().in(unit) + " " + upper(j.governing().word()) + " governs.")
                .orElse(not));
        Ui.shown(why, !why.getText().isEmpty());
        other.setText(judged.map(j -> other(j, unit)).orElse(""));
        Ui.shown(other, judged.isPresent());
    }

    private static String other(Judge.Judgement j, Unit unit) {
        boolean process = j.governing() == ShopSchool.PROCESS;
        Judge.Said said = process ? j.gauge() : j.process();
        return upper((process ? ShopSchool.GAUGE : ShopSchool.PROCESS).word()) + ": "
                + said.verdict().words() + ". " + said.why().in(unit);
    }

    private static String tone(Verdict v) {
        return switch (v) {
            case LEAVE -> "done-text";
            case AGAIN, ASK -> "attention-text";
            case REPLACE -> "stop-text";
        };
    }

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
