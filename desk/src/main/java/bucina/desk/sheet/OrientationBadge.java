package bucina.desk.sheet;

import bucina.core.plan.Build;
import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.look.Ties;
import bucina.desk.look.Type;
import bucina.desk.session.Desk;
import java.util.Locale;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/**
 * Says which hand the face is, from where it is drawn, and which way is outboard and forward: nobody drills a mirror
 * image.
 */
public final class OrientationBadge extends Canvas implements Shown {

    private final Ties ties = new Ties();
    private final Desk desk;
    private Palette palette = Palette.LIGHT;

    public OrientationBadge(Desk desk) {
        super(330, 92);
        this.desk = desk;
        setMouseTransparent(true);
        setAccessibleRole(AccessibleRole.TEXT);
        ties.on(desk.selectionProperty(), this::draw);
        ties.on(desk.look().scaleProperty(), this::draw);
    }

    /** Draws in the colours of one variant. */
    @Override
    public void use(Palette next, double scale) {
        palette = next;
        draw();
    }

    private void draw() {
        Build.FaceRef ref = desk.snapshot().ref(desk.selectionProperty().get().face());
        double text = Math.min(1.35, desk.look().scaleProperty().get() / 100.0);
        GraphicsContext g = getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        g.setGlobalAlpha(0.86);
        g.setFill(palette.film());
        g.fillRect(0, 0, 84 + Math.max(ref.face().viewed().length(), 12) * 6.6 * text, getHeight());
        g.setGlobalAlpha(1);
        double x = 16;
        double y = getHeight() - 14;
        double up = 40;
        g.setStroke(palette.ink());
        g.setFill(palette.ink());
        g.setLineWidth(1.8);
        g.strokeLine(x, y, x + up, y);
        g.strokeLine(x, y, x, y - up);
        g.fillPolygon(new double[] {x + up, x + up, x + up + 8}, new double[] {y - 4, y + 4, y}, 3);
        g.fillPolygon(new double[] {x - 4, x + 4, x}, new double[] {y - up, y - up, y - up - 8}, 3);
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.LEFT);
        g.setFont(Type.text(Type.SMALL * text));
        g.fillText(ref.face().xToward(), x + up + 12, y);
        g.fillText(ref.face().yToward(), x + 9, y - up - 12);
        g.setFont(Type.bold(Type.BODY * text));
        String hand = ref.assembly().hand().word().toUpperCase(Locale.ROOT)
                + (ref.assembly().hand().word().contains("hand") ? "" : " HAND");
        g.fillText(hand, x + up + 20, y - 40 * text);
        g.setFont(Type.text(Type.SMALL * text));
        g.fillText(ref.face().viewed(), x + up + 20, y - 22 * text);
        setAccessibleText(hand + ", seen " + ref.face().viewed() + ", "
                + ref.face().xToward() + " to the right, " + ref.face().yToward() + " up");
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void close() {
        ties.close();
    }
}
