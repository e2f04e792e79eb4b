package org.wiseember.workbook;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Subject;
import org.wiseember.workbook.json.Records;

/** Claims as JSON, field by field; see docs/formats.md. */
public final class ClaimJson {
  private ClaimJson() {}

  /** The fields of label.schema.json, which asks for the last two also where they are empty. */
  private record Written(
      Subject subject,
      Direction direction,
      double low,
      double high,
      String word,
      @JsonInclude(JsonInclude.Include.ALWAYS) List<Condition> conditions,
      @JsonInclude(JsonInclude.Include.ALWAYS) String printedAs) {
    static Written of(Claim c) {
      return new Written(
          c.subject(), c.direction(), c.low(), c.high(), c.word(), c.conditions(), c.printedAs());
    }

    Claim claim() {
      if (subject == null || direction == null) {
        throw new IllegalArgumentException("a claim says what it is about");
      }
      return new Claim(subject, direction, low, high, word, conditions, printedAs);
    }
  }

  /** As they are kept. */
  public static String write(List<Claim> claims) {
    return Records.write(claims.stream().map(Written::of).toList());
  }

  /**
   * What was kept.
   *
   * @throws WorkbookException where it cannot be read
   */
  public static List<Claim> read(String json) {
    try {
      return Records.list(json, Written.class).stream().map(Written::claim).toList();
    } catch (IllegalArgumentException e) {
      throw new WorkbookException("A claim kept in the workbook cannot be read.", e);
    }
  }
}
