package bucina.core.job;

import bucina.core.log.Operation;
import java.util.Optional;

/** What is done in a job. */
public enum Op {
    MATCH("match", "match-drill", Operation.MATCH_DRILLED),
    FINAL("final", "drill to final size", Operation.FINAL_SIZE),
    REAM("ream", "ream", Operation.REAMED),
    DEBURR("deburr", "deburr", Operation.DEBURRED),
    DIMPLE("dimple", "dimple", Operation.DIMPLED),
    COUNTERSINK("countersink", "countersink", Operation.COUNTERSUNK),
    CLEAR("clear", "clear to final size", Operation.CLEARED),
    SET("set", "set"),
    TORQUE("torque", "torque", Operation.TORQUED),
    STRIPE("stripe", "stripe", Operation.STRIPED),
    WIRE("wire", "wire", Operation.WIRED),
    PIN("pin", "pin", Operation.PINNED),
    /** Heads of the sample are measured and judged, one by one. */
    PROVE("prove", "prove"),
    /** A part goes on in clecos, to be drilled through. */
    FIT("fit", "cleco on"),
    /** It comes off again. */
    OFF("off", "take off"),
    /** It goes on to stay. */
    ON("on", "put on"),
    /** Something that a part owes. */
    TASK("task", ""),
    /** A job of the builder's own. */
    OWN("own", "");

    private final String code;
    private final String word;
    private final Optional<Operation> marked;

    Op(String code, String word) {
        this.code = code;
        this.word = word;
        this.marked = Optional.empty();
    }

    Op(String code, String word, Operation marked) {
        this.code = code;
        this.word = word;
        this.marked = Optional.of(marked);
    }

    /** The first word of a job's name. */
    public String code() {
        return code;
    }

    /** What is done, as one would say it at the bench; empty where the job itself says it. */
    public String word() {
        return word;
    }

    /** The operation that is marked at holes; empty for setting and for work on parts. */
    public Optional<Operation> marked() {
        return marked;
    }

    /** The job that does what is marked at holes; empty for what is no job of its own. */
    static Optional<Op> of(Operation operation) {
        for (Op op : values()) {
            if (op.marked.filter(operation::equals).isPresent()) {
                return Optional.of(op);
            }
        }
        return Optional.empty();
    }

    /** True if it goes through the whole stack, with every sheet on. */
    public boolean throughStack() {
        return this == MATCH || this == FINAL || this == REAM || this == CLEAR || this == SET;
    }

    /** True if it is done to a fastener that is in. */
    public boolean afterSet() {
        return ordinal() > SET.ordinal() && ordinal() <= PROVE.ordinal();
    }

    /** True if parts are drilled through, before they come off again. */
    boolean drills() {
        return this == MATCH || this == FINAL || this == REAM;
    }

    /** True if holes are worked. */
    public boolean onHoles() {
        return ordinal() <= PROVE.ordinal();
    }

    /** True if a part is moved: on or off. */
    public boolean move() {
        return this == FIT || this == OFF || this == ON;
    }
}
