package org.wiseember.report.page;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a page is printed on: ISO 216 A4, or Letter as in ANSI/ASME Y14.1. */
public enum Paper {
  A4("A4", "210mm 297mm"),
  LETTER("Letter", "215.9mm 279.4mm");

  private final String words;
  private final String size;

  Paper(String words, String size) {
    this.words = words;
    this.size = size;
  }

  /** As it is called. */
  public String words() {
    return words;
  }

  /** As it stands in files and on the command line. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Width and height, for a style. */
  public String size() {
    return size;
  }

  public static Optional<Paper> byKey(String key) {
    return Arrays.stream(values()).filter(p -> p.key().equals(key)).findFirst();
  }
}
