package org.wiseember.core.figure;

import java.util.Objects;
import org.wiseember.core.notice.Code;

/**
 * Something a tester should know about a figure or a file.
 *
 * @param code short and stable, for scripts, such as {@code gap}
 * @param message one plain sentence or two
 */
public record Warning(String code, String message) {
  public Warning {
    Code.spelled(code);
    Objects.requireNonNull(message);
  }
}
