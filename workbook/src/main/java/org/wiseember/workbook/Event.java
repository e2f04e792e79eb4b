package org.wiseember.workbook;

/**
 * Something noticed or marked during a run.
 *
 * @param seconds on the run's clock
 * @param code short and stable; {@code mark} for what a person marked
 */
public record Event(double seconds, String code, String words) {}
