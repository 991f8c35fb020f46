package bucina.store.dxf;

import bucina.store.curve.Placing;
import bucina.store.drawing.Limits;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The pairs of one entity, in order. */
final class Entity {

    /** A plane this upright, of 1, is that of the drawing. */
    private static final double UPRIGHT = 0.999_999;

    private final String kind;
    private int[] codes = new int[12];
    private String[] values = new String[12];
    private int many;
    /** Of a polyline. */
    private List<Entity> vertices = List.of();

    Entity(String kind) {
        this.kind = kind;
    }

    /** As the file calls it, cut to what can be a name. */
    String kind() {
        return kind.length() > 20 ? kind.substring(0, 20) : kind;
    }

    void put(int code, String value) {
        if (many == codes.length) {
            codes = Arrays.copyOf(codes, 2 * many);
            values = Arrays.copyOf(values, 2 * many);
        }
        codes[many] = code;
        values[many++] = value;
    }

    void add(Entity vertex) {
        if (vertices.isEmpty()) {
            vertices = new ArrayList<>();
        }
        vertices.add(vertex);
    }

    List<Entity> vertices() {
        return vertices;
    }

    int pairs() {
        return many;
    }

    int code(int i) {
        return codes[i];
    }

    double number(int i) {
        return Limits.figure(kind(), values[i]);
    }

    boolean has(int code) {
        return index(code) >= 0;
    }

    private int index(int code) {
        for (int i = 0; i < many; i++) {
            if (codes[i] == code) {
                return i;
            }
        }
        return -1;
    }

    String text(int code, String otherwise) {
        int i = index(code);
        return i < 0 ? otherwise : values[i];
    }

    double number(int code, double otherwise) {
        int i = index(code);
        return i < 0 ? otherwise : number(i);
    }

    /** All values of a code. */
    double[] all(int code) {
        double[] all = new double[many];
        int n = 0;
        for (int i = 0; i < many; i++) {
            if (codes[i] == code) {
                all[n++] = number(i);
            }
        }
        return Arrays.copyOf(all, n);
    }

    /** True if a bit of a whole number is set. */
    boolean bit(int code, int bit) {
        return ((long) number(code, 0) & bit) != 0;
    }

    String layer() {
        return text(8, "0");
    }

    /**
     * The plane it is drawn in, seen from above; empty if it is tilted. Turned over, its x runs the other way.
     */
    Optional<Placing> plane() {
        double x = number(210, 0);
        double y = number(220, 0);
        double z = number(230, 1);
        double up = z / Math.sqrt(x * x + y * y + z * z);
        if (up > UPRIGHT) {
            return Optional.of(Placing.NONE);
        }
        return up < -UPRIGHT ? Optional.of(Placing.scaled(-1, 1)) : Optional.empty();
    }
}
