package org.wiseember.core.notice;

/**
 * Something seen while a test runs.
 *
 * @param seconds on the bench clock
 * @param code short and stable, {@code cut_off}
 * @param detail what it is about, where the code alone does not say: a key or a number; else empty
 * @param text one plain sentence
 */
public record Notice(double seconds, String code, String detail, String text) {
  public Notice {
    Code.spelled(code);
  }

  public Notice(double seconds, String code, String text) {
    this(seconds, code, "", text);
  }
}
