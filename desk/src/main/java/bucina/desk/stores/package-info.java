/** The Stores room: what is there, what is short, what to order, when it is done and what it weighs. */
@NullMarked
package bucina.desk.stores;

import org.jspecify.annotations.NullMarked;
