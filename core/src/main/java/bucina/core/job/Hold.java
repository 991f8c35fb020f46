package bucina.core.job;

/**
 * Why a job waits for something that no open job brings about.
 *
 * @param rule the rule that holds it
 * @param text why, one sentence
 */
public record Hold(String rule, String text) {}
