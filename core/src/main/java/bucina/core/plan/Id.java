package bucina.core.plan;

import bucina.core.measure.InputException;

/** Ids of everything in a build. One counter serves all; a number is given out once and never reused. */
public sealed interface Id {

    /** The number, over 0. */
    long n();

    private static void check(long n) {
        if (n <= 0) {
            throw new InputException("an id must be over 0, was " + n);
        }
    }

    /** Of a part. */
    record Part(long n) implements Id {
        public Part {
            check(n);
        }
    }

    /** Of an assembly. */
    record Assembly(long n) implements Id {
        public Assembly {
            check(n);
        }
    }

    /** Of a face. */
    record Face(long n) implements Id {
        public Face {
            check(n);
        }
    }

    /** Of a layer. */
    record Layer(long n) implements Id {
        public Layer {
            check(n);
        }
    }

    /** Of a group. */
    record Group(long n) implements Id {
        public Group {
            check(n);
        }
    }

    /** Of a row. */
    record Row(long n) implements Id {
        public Row {
            check(n);
        }
    }

    /** Of a zone. */
    record Zone(long n) implements Id {

        public Zone {
            check(n);
        }
    }

    /** Of a query. */
    record Query(long n) implements Id {

        public Query {
            check(n);
        }
    }

    /** Of an acceptance. */
    record Acceptance(long n) implements Id {

        public Acceptance {
            check(n);
        }
    }

    /** Of a bulletin. */
    record Bulletin(long n) implements Id {

        public Bulletin {
            check(n);
        }
    }

    /** Of a kept sum. */
    record Sum(long n) implements Id {

        public Sum {
            check(n);
        }
    }

    /** Of a tool. */
    record Tool(long n) implements Id {

        public Tool {
            check(n);
        }
    }

    /** Of a batch. */
    record Batch(long n) implements Id {

        public Batch {
            check(n);
        }
    }

    /** Of an index mark. */
    record Index(long n) implements Id {

        public Index {
            check(n);
        }
    }

    /** Of a reading of an assembly. */
    record Fit(long n) implements Id {

        public Fit {
            check(n);
        }
    }

    /** Of a bay. */
    record Bay(long n) implements Id {

        public Bay {
            check(n);
        }
    }

    /** Of something the builder says about the order of work. */
    record Order(long n) implements Id {

        public Order {
            check(n);
        }
    }

    /** Of a job of the builder's own. */
    record Own(long n) implements Id {

        public Own {
            check(n);
        }
    }

    /** Of something that is measured. */
    record Gaging(long n) implements Id {

        public Gaging {
            check(n);
        }
    }

    /** Of something that runs through. */
    record Run(long n) implements Id {

        public Run {
            check(n);
        }
    }

    /** Of a departure from the drawing. */
    record Departure(long n) implements Id {

        public Departure {
            check(n);
        }
    }

    /** Of a thing in the stores. */
    record Item(long n) implements Id {

        public Item {
            check(n);
        }
    }

    /** Of a line of the packing list. */
    record Packed(long n) implements Id {

        public Packed {
            check(n);
        }
    }

    /** Of a bar of long stock. */
    record Bar(long n) implements Id {

        public Bar {
            check(n);
        }
    }

    /** Of a can of primer or sealant. */
    record Can(long n) implements Id {

        public Can {
            check(n);
        }
    }

    /** Of a weighing. */
    record Weighing(long n) implements Id {

        public Weighing {
            check(n);
        }
    }

    /** Of a photograph's place. */
    record Pin(long n) implements Id {

        public Pin {
            check(n);
        }
    }

    /** Of a hole. */
    record Hole(long n) implements Id {
        public Hole {
            check(n);
        }
    }
}
