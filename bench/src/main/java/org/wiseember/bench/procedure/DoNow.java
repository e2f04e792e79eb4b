package org.wiseember.bench.procedure;

/**
 * A thing for a person to do.
 *
 * @param text what
 * @param when before the start, while it runs, or at its end
 * @param caution what could hurt, beside the step; empty where nothing can
 */
public record DoNow(String text, When when, String caution) {
  /** When it is done. */
  public enum When {
    BEFORE,
    DURING,
    AFTER
  }
}
