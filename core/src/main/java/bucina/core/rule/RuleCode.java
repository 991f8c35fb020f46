package bucina.core.rule;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a check found, by its code: it stands in exports, in answers of the command line and in what was accepted. */
public enum RuleCode {
    /** {@code bend-along-grain}. */
    BEND_ALONG_GRAIN,
    /** {@code bend-tangent}. */
    BEND_TANGENT,
    /** {@code bolt-grip}. */
    BOLT_GRIP,
    /** {@code bolt-nut}. */
    BOLT_NUT,
    /** {@code catches-cleared-layer}. */
    CATCHES_CLEARED_LAYER,
    /** {@code catches-unlisted-layer}. */
    CATCHES_UNLISTED_LAYER,
    /** {@code corner-too-sharp}. */
    CORNER_TOO_SHARP,
    /** {@code countersink-comes-out}. */
    COUNTERSINK_COMES_OUT,
    /** {@code countersink-too-deep}. */
    COUNTERSINK_TOO_DEEP,
    /** {@code die-angle}. */
    DIE_ANGLE,
    /** {@code dome-in-a-dimple}. */
    DOME_IN_A_DIMPLE,
    /** {@code dress-impossible}. */
    DRESS_IMPOSSIBLE,
    /** {@code edge-distance-least}. */
    EDGE_DISTANCE_LEAST,
    /** {@code edge-distance-most}. */
    EDGE_DISTANCE_MOST,
    /** {@code edge-through-hole}. */
    EDGE_THROUGH_HOLE,
    /** {@code flush-in-plain-hole}. */
    FLUSH_IN_PLAIN_HOLE,
    /** {@code gauge}. */
    GAUGE,
    /** {@code gauge-least}. */
    GAUGE_LEAST,
    /** {@code head-interference}. */
    HEAD_INTERFERENCE,
    /** {@code head-on-edge}. */
    HEAD_ON_EDGE,
    /** {@code hole-near-tangent}. */
    HOLE_NEAR_TANGENT,
    /** {@code hole-oversize}. */
    HOLE_OVERSIZE,
    /** {@code hole-under-shank}. */
    HOLE_UNDER_SHANK,
    /** {@code keep-out}. */
    KEEP_OUT,
    /** {@code kind-in-row}. */
    KIND_IN_ROW,
    /** {@code knife-edge}. */
    KNIFE_EDGE,
    /** {@code length-cut}. */
    LENGTH_CUT,
    /** {@code lug-rivet-near-screw}. */
    LUG_RIVET_NEAR_SCREW,
    /** {@code lug-rivets-too-near}. */
    LUG_RIVETS_TOO_NEAR,
    /** {@code misses-layer}. */
    MISSES_LAYER,
    /** {@code no-length-does}. */
    NO_LENGTH_DOES,
    /** {@code nosepiece-changes}. */
    NOSEPIECE_CHANGES,
    /** {@code not-on-hand}. */
    NOT_ON_HAND,
    /** {@code opening-near-edge}. */
    OPENING_NEAR_EDGE,
    /** {@code opening-near-rivet}. */
    OPENING_NEAR_RIVET,
    /** {@code opening-near-tangent}. */
    OPENING_NEAR_TANGENT,
    /** {@code pitch-least}. */
    PITCH_LEAST,
    /** {@code pitch-most}. */
    PITCH_MOST,
    /** {@code plate-hits-part}. */
    PLATE_HITS_PART,
    /** {@code plates-overlap}. */
    PLATES_OVERLAP,
    /** {@code proud-under-layer}. */
    PROUD_UNDER_LAYER,
    /** {@code query-open}. */
    QUERY_OPEN,
    /** {@code rivet-not-in-catalogue}. */
    RIVET_NOT_IN_CATALOGUE,
    /** {@code screw-heads-meet}. */
    SCREW_HEADS_MEET,
    /** {@code tail-at-wall}. */
    TAIL_AT_WALL,
    /** {@code too-few-layers}. */
    TOO_FEW_LAYERS;

    /** As it is written: {@code edge-distance-least}. */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** In words: {@code edge distance least}. */
    public String words() {
        return code().replace('-', ' ');
    }

    /** The one that is written so; empty if there is none. */
    public static Optional<RuleCode> of(String code) {
        return Arrays.stream(values()).filter(r -> r.code().equals(code)).findFirst();
    }
}
