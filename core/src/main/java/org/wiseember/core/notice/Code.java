package org.wiseember.core.notice;

import java.util.regex.Pattern;

/** How codes of warnings and notices are spelled: {@code cut_off}, {@code no_volts}. */
public final class Code {
  private static final Pattern SPELLED = Pattern.compile("[a-z][a-z0-9]*(_[a-z0-9]+)*");

  private Code() {}

  /**
   * The code, if it is spelled as all are.
   *
   * @throws IllegalArgumentException where it is not
   */
  public static String spelled(String code) {
    if (!SPELLED.matcher(code).matches()) {
      throw new IllegalArgumentException("“" + code + "” is not spelled as codes are");
    }
    return code;
  }
}
