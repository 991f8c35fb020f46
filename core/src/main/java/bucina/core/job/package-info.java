/**
 * Jobs: stretches of work that a person starts and finishes, worked out from plan and log, what each needs, how long it
 * takes, and what comes before it with its reason. A demand names its rule: P1 the order at a hole, P2 parts on and
 * off, P3 shared holes, P4 what gets covered, P5 what no tool reaches later, P7 straightening before drilling, P8
 * primer, P9 what waits for something that no job brings about, P11 what the builder says. Minutes are minutes of work.
 * Pure and immutable; any thread.
 */
@NullMarked
package bucina.core.job;

import org.jspecify.annotations.NullMarked;
