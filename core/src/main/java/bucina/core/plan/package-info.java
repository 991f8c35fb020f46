/**
 * The plan: what the drawings say, as data.
 *
 * <p>A {@link bucina.core.plan.Build} holds parts and assemblies; an assembly has faces; a <b>face</b> is one joint
 * plane developed flat,
 * with layers and groups; a <b>layer</b> is one sheet with its outline on that face, in order from the face's near
 * side; a <b>group</b> is
 * fasteners of one type treated alike, in <b>rows</b> of <b>holes</b>. A group may have no holes but a typed stack
 * and a count.
 *
 * <p>Everything is an immutable record; a change makes a new build that shares what did not change, so that "what
 * changed" is a comparison of
 * references. Ids are numbers given out once by the build and never again. What follows from the plan (stacks, grips,
 * lengths, findings) is
 * never stored here: see {@code bucina.core.stack}.
 */
@NullMarked
package bucina.core.plan;

import org.jspecify.annotations.NullMarked;
