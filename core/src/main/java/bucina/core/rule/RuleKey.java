package bucina.core.rule;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The limits and choices that a rule set holds. */
public enum RuleKey {
    EDGE_LEAST_PROTRUDING("edge.least.protruding", "Least edge distance, protruding head", Kind.DIAMETERS),
    EDGE_LEAST_FLUSH("edge.least.flush", "Least edge distance, flush head", Kind.DIAMETERS),
    EDGE_MOST("edge.most", "Most edge distance of a row along an edge", Kind.DIAMETERS),
    PROCESS_DIAMETER("shop.process.diameter", "Shop head diameter, process specification, at least", Kind.DIAMETERS),
    PROCESS_HEIGHT("shop.process.height", "Shop head height, process specification, at least", Kind.DIAMETERS),
    GAUGE_DIAMETER("shop.gauge.diameter", "Shop head diameter, shop gauge, about", Kind.DIAMETERS),
    GAUGE_HEIGHT("shop.gauge.height", "Shop head height, shop gauge, about", Kind.DIAMETERS),
    GAUGE_HEIGHT_LEAST("shop.gauge.height.least", "Shop head height, shop gauge, never under", Kind.DIAMETERS),
    HEAD_PROUD("head.proud.most", "How far a flush head may stand proud", Kind.LENGTH),
    HEAD_BELOW("head.below.most", "How far a flush head may lie below the sheet", Kind.LENGTH),
    GAUGE_CHECK("gauge.check.most", "How far a gauge may be out on a known piece", Kind.LENGTH),
    SHOP_SCHOOL("shop.school", "Shop head school that governs", ShopSchool.values()),
    GAP_AGREE("squeezer.gap.agree", "How far grips and closed gaps may differ in one stretch", Kind.LENGTH),
    COUNTERSINK_SCHOOL("countersink.school", "Countersink school that governs", CountersinkSchool.values()),
    SHEET_LEAST("sheet.least", "Thinnest sheet that is brought in without asking", Kind.LENGTH),
    SHEET_MOST("sheet.most", "Thickest sheet that is brought in without asking", Kind.LENGTH),
    COUNTERSINK_LAND("countersink.land.least", "Land under a cone below which it is a knife edge", Kind.LENGTH),
    COLD_DIMPLE_MOST("dimple.cold.most", "Thickest sheet dimpled cold, 2024-T3 and softer", Kind.LENGTH),
    COLD_DIMPLE_HARD("dimple.cold.hard", "From this thickness 7075 in a T temper wants heat", Kind.LENGTH),
    HOLES_COME("work.holes", "How the holes of the kit come", HolesCome.values()),
    DEBURR_MARKED("work.deburr", "Whether deburring is owed at each hole", Followed.values()),
    PRIME_SCHOOL("work.prime", "What is primed before it is riveted", PrimeSchool.values()),
    OVERSIZE_MOST("hole.oversize.most", "Largest hole over the drill before the next diameter", Kind.LENGTH),
    PITCH_LEAST("pitch.least", "Least pitch in a row", Kind.DIAMETERS),
    PITCH_MOST_DIAMETERS("pitch.most.diameters", "Most pitch in a row, by shank", Kind.DIAMETERS),
    PITCH_MOST_THICKNESS("pitch.most.thickness", "Most pitch in a row, by the thinnest sheet", Kind.THICKNESSES),
    GAUGE_LEAST("gauge.least", "Least distance between rivets of two rows", Kind.DIAMETERS),
    TANGENT_CLEAR("head.tangent.clear", "Clear metal between a head and a bend tangent", Kind.LENGTH),
    LAP_BACK("lap.lift.back", "How far back a lap that is lifted stays open", Kind.LENGTH),
    PUNCH_UNDER(
            "blind.punch.under", "How far under size a hole is made that is dimpled for a pulled rivet", Kind.LENGTH),
    TAIL_DIAMETER("blind.tail.diameter", "Diameter of the set tail of a pulled rivet", Kind.DIAMETERS),
    OPENING_LAND(
            "opening.land.least", "Least metal between an opening and a bend tangent or an edge", Kind.THICKNESSES),
    OPENING_CORNER("opening.corner.least", "Least radius of an opening's inside corner", Kind.LENGTH),
    FIT_SQUARE("fit.square.most", "How far the diagonals of a face may be out of square", Kind.LENGTH),
    FIT_TWIST("fit.twist.most", "Most twist between the two ends", Kind.DEGREES),
    FIT_LEVEL("fit.level.most", "How far out of level along", Kind.DEGREES),
    FIT_STRAIGHT("fit.straight.most", "Widest gap under a straight-edge along the longest row", Kind.LENGTH),
    FIT_SHIFT("fit.shift.most", "How much a length may change from before taking apart to after", Kind.LENGTH),
    FIT_TURN("fit.turn.most", "How much an angle may change from before taking apart to after", Kind.DEGREES),
    FIT_MATCH("fit.match.most", "How far holes may be out for a part still to go on the wrong way", Kind.LENGTH),
    ACCESS_ARM("access.arm", "Arm's reach from an opening, the shoulder outside", Kind.LENGTH),
    ACCESS_HAND("access.hand.wide", "Width of an opening for a hand", Kind.LENGTH),
    ACCESS_HIGH("access.hand.high", "Height of an opening for a hand", Kind.LENGTH),
    ACCESS_BAR("access.bar.high", "Height of an opening for a hand with a bar or a wrench", Kind.LENGTH),
    ACCESS_FRAME("access.frame", "Metal round a hatch for the screws of its cover", Kind.LENGTH),
    PART_TWO("part.two.longer", "Longest part that one handles alone", Kind.LENGTH);

    /** What a value of the rule is. */
    public enum Kind {
        /** A number of shank diameters. */
        DIAMETERS,
        /** A number of sheet thicknesses. */
        THICKNESSES,
        /** A length with its unit. */
        LENGTH,
        /** An angle in degrees. */
        DEGREES,
        /** One of a few words. */
        CHOICE
    }

    private final String code;
    private final String title;
    private final Kind kind;
    private final List<Choice> choices;

    RuleKey(String code, String title, Kind kind) {
        this.code = code;
        this.title = title;
        this.kind = kind;
        this.choices = List.of();
    }

    RuleKey(String code, String title, Choice... choices) {
        this.code = code;
        this.title = title;
        this.kind = Kind.CHOICE;
        this.choices = List.of(choices);
    }

    /** The key in files. */
    public String code() {
        return code;
    }

    /** What it is, for people. */
    public String title() {
        return title;
    }

    /** What its value is. */
    public Kind kind() {
        return kind;
    }

    /** What a rule of kind {@link Kind#CHOICE} may be, in the order to offer them; none for the others. */
    public List<Choice> choices() {
        return choices;
    }

    /** The key with this code; empty if none has it. */
    public static Optional<RuleKey> of(String code) {
        return Arrays.stream(values()).filter(k -> k.code.equals(code)).findFirst();
    }
}
