package bucina.core.stores;

import bucina.core.cleco.ClecoSize;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.progress.FaceClecos;
import bucina.core.stack.Derivation;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Clecos by size: how many there are, and how many the plan has in at once. */
public final class Clecos {

    /** A cleco lies within so many holes on each side of the hole being drilled. */
    private static final int NEAREST = 2;

    private Clecos() {}

    /**
     * One size.
     *
     * @param owned as counted into its bin; empty where nobody counted
     * @param peak  most in at once on one face, if there are enough; 0 where no open hole takes it
     * @param face  on which; empty where none does
     */
    public record Size(ClecoSize size, Optional<Integer> owned, int peak, String face) {

        /** How many are wanting at the peak: the rows are worked in more waves then. */
        public int lacking() {
            return Math.max(0, peak - owned.orElse(peak));
        }
    }

    /** Size by size, of one face after another: a face that is riveted gives its clecos back. */
    public static List<Size> of(Derivation derivation, Logbook log, Holds holds) {
        Map<String, FaceClecos.Use> most = new HashMap<>();
        Map<String, String> where = new HashMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
            FaceClecos face = FaceClecos.of(
                    derivation.face(ref.face().id()),
                    log,
                    holds,
                    derivation.catalogue().clecos(),
                    Map.of(),
                    Optional.empty(),
                    NEAREST);
            for (FaceClecos.Use use : face.sizes()) {
                FaceClecos.Use before = most.get(use.size().name());
                if (before == null || before.peak() < use.peak()) {
                    most.put(use.size().name(), use);
                    where.put(use.size().name(), ref.face().name());
                }
            }
        }
        List<Size> sizes = new ArrayList<>();
        for (ClecoSize size : derivation.catalogue().clecos()) {
            FaceClecos.Use use = most.get(size.name());
            sizes.add(new Size(
                    size,
                    Optional.ofNullable(derivation.build().stock().get(size.bin())),
                    use == null ? 0 : use.peak(),
                    where.getOrDefault(size.name(), "")));
        }
        return sizes;
    }
}
