package org.wiseember.workbook;

import java.util.Locale;
import org.wiseember.core.notice.Notice;

/**
 * Something noticed or marked during a run.
 *
 * @param seconds on the run's clock
 * @param code short and stable, spelled as warnings are; {@code mark} for what a person marked
 * @param detail what it is about, where the code alone does not say: a key or a number; else empty
 */
public record Event(double seconds, String code, String detail, String words) {
  public Event(double seconds, String code, String words) {
    this(seconds, code, "", words);
  }

  public static Event of(Notice notice) {
    return new Event(notice.seconds(), notice.code(), notice.detail(), notice.text());
  }

  /** Codes had dashes and capitals before layout 8. */
  public static String spelled(String code) {
    return code.replace('-', '_').toLowerCase(Locale.ROOT);
  }
}
