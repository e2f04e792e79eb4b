package org.wiseember.desktop.model;

import java.util.Optional;

/** The stages of a test, in the order of work. */
public enum StageName {
  LABEL("Label"),
  PLAN("Plan"),
  BENCH("Bench"),
  EVIDENCE("Evidence"),
  VERDICT("Verdict"),
  LINE_UP("Line-up"),
  RUN_TIME("Run-time"),
  REPORT("Report");

  private final String words;

  StageName(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** The stage of a digit key, 1 to 8. */
  public static Optional<StageName> byNumber(int number) {
    return number >= 1 && number <= values().length
        ? Optional.of(values()[number - 1])
        : Optional.empty();
  }
}
