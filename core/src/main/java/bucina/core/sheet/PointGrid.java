package bucina.core.sheet;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/*
 * Design. Points are counted into square cells and laid out cell by cell in one array, so that a small box is
 * answered from a few neighbouring
 * cells. The number of cells is kept to a few for each point; on a face far larger than its cells, cells grow.
 */

/**
 * Finds points by where they are: made in proportion to their number, asked in proportion to what lies near. Immutable.
 */
public final class PointGrid {

    private final double[] xs;
    private final double[] ys;
    private final double cell;
    private final double minX;
    private final double minY;
    private final int columns;
    private final int rows;
    /** Where the points of each cell begin in {@link #order}; one more at the end. */
    private final int[] starts;

    private final int[] order;

    /**
     * @param points what is found; by its place in the list
     * @param usual  how wide the boxes asked for usually are, nm, over 0
     */
    public PointGrid(List<Point> points, double usual) {
        int n = points.size();
        xs = new double[n];
        ys = new double[n];
        for (int i = 0; i < n; i++) {
            xs[i] = points.get(i).x();
            ys[i] = points.get(i).y();
        }
        minX = Arrays.stream(xs).min().orElse(0);
        minY = Arrays.stream(ys).min().orElse(0);
        double width = Arrays.stream(xs).max().orElse(0) - minX;
        double height = Arrays.stream(ys).max().orElse(0) - minY;
        cell = Math.max(
                Math.max(usual, Math.sqrt(width * height / (4.0 * n + 16))), Math.max(width, height) / (4.0 * n + 16));
        columns = (int) (width / cell) + 1;
        rows = (int) (height / cell) + 1;
        starts = new int[columns * rows + 1];
        for (int i = 0; i < n; i++) {
            starts[cell(i) + 1]++;
        }
        for (int c = 0; c < columns * rows; c++) {
            starts[c + 1] += starts[c];
        }
        int[] next = starts.clone();
        order = new int[n];
        for (int i = 0; i < n; i++) {
            order[next[cell(i)]++] = i;
        }
    }

    private int cell(int i) {
        return Math.min(rows - 1, (int) ((ys[i] - minY) / cell)) * columns
                + Math.min(columns - 1, (int) ((xs[i] - minX) / cell));
    }

    /** Places of the points in the box, its bounds included, ascending. */
    public List<Integer> in(Box box) {
        List<Integer> found = new ArrayList<>();
        int left = (int) Math.clamp(Math.floor((box.minX() - minX) / cell), 0, columns - 1);
        int right = (int) Math.clamp(Math.floor((box.maxX() - minX) / cell), 0, columns - 1);
        int low = (int) Math.clamp(Math.floor((box.minY() - minY) / cell), 0, rows - 1);
        int high = (int) Math.clamp(Math.floor((box.maxY() - minY) / cell), 0, rows - 1);
        collect(low, high, left, right, box, found);
        found.sort(null);
        return found;
    }

    private void collect(int low, int high, int left, int right, Box box, List<Integer> found) {
        for (int r = low; r <= high; r++) {
            for (int k = starts[r * columns + left]; k < starts[r * columns + right + 1]; k++) {
                int i = order[k];
                if (xs[i] >= box.minX() && xs[i] <= box.maxX() && ys[i] >= box.minY() && ys[i] <= box.maxY()) {
                    found.add(i);
                }
            }
        }
    }
}
