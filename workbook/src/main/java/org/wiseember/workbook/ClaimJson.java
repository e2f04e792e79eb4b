package org.wiseember.workbook;

import java.util.List;
import org.wiseember.core.label.Claim;
import org.wiseember.workbook.json.Records;

/** Claims as JSON, field by field; see docs/formats.md. */
public final class ClaimJson {
  private ClaimJson() {}

  /** As they are kept. */
  public static String write(List<Claim> claims) {
    return Records.write(claims);
  }

  /**
   * What was kept.
   *
   * @throws WorkbookException where it cannot be read
   */
  public static List<Claim> read(String json) {
    try {
      return Records.list(json, Claim.class);
    } catch (IllegalArgumentException e) {
      throw new WorkbookException("A claim kept in the workbook cannot be read.", e);
    }
  }
}
