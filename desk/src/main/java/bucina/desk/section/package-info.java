/**
 * The section: the stack at one hole cut through, to scale and hatched, with the rivet as it goes in and as it will
 * be set.
 *
 * <p>{@link bucina.desk.section.SectionShape} works out the outlines (depth down from the head side, radius from the
 * hole's axis) without a
 * toolkit; {@link bucina.desk.section.SectionView} draws them.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.section;
