/**
 * The guide beside the work. Its text is docs/guide, shipped with the program as it is: {@link
 * bucina.desk.help.Guide} knows the pages without nodes, {@link bucina.desk.help.HelpPane} shows one. What a page is
 * about stands in it: in a comment the screens, in its headings the keys of rules, limits, sums and terms.
 */
@NullMarked
package bucina.desk.help;

import org.jspecify.annotations.NullMarked;
