package bucina.core.rivet;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import java.util.List;
import java.util.Optional;

/**
 * The answer for one stack: every candidate, the one to use and the figures that go with it.
 *
 * @param size          the rivet size asked about
 * @param head          the metal of it, for any other length or height
 * @param idealLength   {@code Ge + 1.5 D}
 * @param candidates    every stocked length, ascending
 * @param pick          what to use; never null, empty inside where nothing does
 * @param limits        what the shop head must measure
 * @param squeezerGap   closed gap for a usual cup; see {@link ShopHead#squeezerGap}
 */
public record RivetChoice(
        RivetSize size,
        ShopHead head,
        Length idealLength,
        List<Candidate> candidates,
        Pick pick,
        ShopHeadLimits limits,
        Length squeezerGap) {

    /**
     * What to use.
     *
     * @param designation the rivet; empty if none does, even cut
     * @param length      the length it goes in with; empty as above
     * @param grade       grade of that length; the best on offer when {@code designation} is empty
     * @param cutFrom     nominal length before cutting; empty if it is not cut
     * @param cutTo       length after cutting; empty if it is not cut
     * @param why         one or two sentences
     */
    public record Pick(
            Optional<RivetDesignation> designation,
            Optional<Length> length,
            Grade grade,
            Optional<Length> cutFrom,
            Optional<Length> cutTo,
            Sentence why) {

        /** True if there is a rivet to use, cut or not. */
        public boolean usable() {
            return designation.isPresent();
        }

        /** What to call it at the bench: {@code -3.5}, {@code -4 cut to .215 in}, {@code none}. */
        public String dash() {
            return designation
                    .map(d -> d.dash() + (cutTo.isPresent() ? " cut" : ""))
                    .orElse("none");
        }
    }
}
