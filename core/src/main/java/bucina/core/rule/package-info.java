/**
 * Rules with their sources, and findings: what breaks one.
 *
 * <p>A {@link bucina.core.rule.RuleSet} is data: every limit is read from a file, names its source, and can be
 * replaced by the builder with
 * a written reason. A {@link bucina.core.rule.Finding} is about the builder's data, never about the program: a rule,
 * a place, what was
 * measured, what is required and what to do. Factors are multiples of the nominal shank diameter D unless the value
 * carries a unit.
 */
@NullMarked
package bucina.core.rule;

import org.jspecify.annotations.NullMarked;
