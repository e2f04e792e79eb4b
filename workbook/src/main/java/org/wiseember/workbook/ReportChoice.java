package org.wiseember.workbook;

import java.util.List;
import org.wiseember.workbook.json.Records;

/**
 * What one's reports are made of.
 *
 * @param full every run with its sums, or in brief the newest of each test
 * @param paper by its key
 * @param sheets keys of those wanted, in order; one that a unit has nothing for is passed over
 */
public record ReportChoice(boolean full, String paper, List<String> sheets) {
  private static final int MOST = 200;

  /** What one begins with. */
  public static final ReportChoice USUAL =
      new ReportChoice(false, "a4", List.of("verdict", "waveform"));

  public ReportChoice {
    sheets = sheets.stream().distinct().limit(MOST).toList();
    paper = paper.isEmpty() ? "a4" : paper;
  }

  /** The same with these sheets. */
  public ReportChoice of(List<String> others) {
    return new ReportChoice(full, paper, others);
  }

  /** The same in full, or in brief. */
  public ReportChoice full(boolean other) {
    return new ReportChoice(other, paper, sheets);
  }

  /** The same on another paper. */
  public ReportChoice on(String other) {
    return new ReportChoice(full, other, sheets);
  }

  String json() {
    return Records.write(this);
  }

  /** What was kept; the usual where nothing was, or nothing that can be read. */
  static ReportChoice read(String json) {
    if (json.isBlank()) {
      return USUAL;
    }
    try {
      return Records.read(json, ReportChoice.class);
    } catch (IllegalArgumentException damaged) {
      return USUAL;
    }
  }
}
