/** What is asked once, at the first start: unit, rivets, schools, and what to begin with. */
@NullMarked
package bucina.desk.first;

import org.jspecify.annotations.NullMarked;
