package bucina.core.job;

/**
 * Something that comes before a job.
 *
 * @param job  id of the job that comes before
 * @param rule {@code P1} to {@code P11}, {@code P1n}
 * @param text why, one sentence
 */
public record Demand(String job, String rule, String text) {}
