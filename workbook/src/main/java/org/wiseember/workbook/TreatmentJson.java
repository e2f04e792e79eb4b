package org.wiseember.workbook;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.OptionalDouble;
import org.wiseember.core.trace.Treatment;
import org.wiseember.workbook.json.Records;

/** What a tester decided about a run, as the workbook and run packages keep it. */
public final class TreatmentJson {
  private TreatmentJson() {}

  /** The fields of docs/formats.md; what was not decided is left out. */
  private record Written(
      @JsonInclude(JsonInclude.Include.ALWAYS) List<Treatment.LeftOut> leftOut,
      OptionalDouble cutoff,
      OptionalDouble standingWatts,
      OptionalDouble leadOhms,
      String setAside) {
    private static OptionalDouble above0(double value) {
      return value > 0 ? OptionalDouble.of(value) : OptionalDouble.empty();
    }

    static Written of(Treatment t) {
      return new Written(
          t.leftOut(), t.cutoff(), above0(t.standingWatts()), above0(t.leadOhms()), t.setAside());
    }

    Treatment treatment() {
      return new Treatment(
          leftOut, cutoff, standingWatts.orElse(0), leadOhms.orElse(0), setAside.strip());
    }
  }

  /** As it is kept. */
  public static ObjectNode node(Treatment treatment) {
    return Records.node(Written.of(treatment));
  }

  /**
   * Reads what {@link #node} wrote; a missing node is no decision.
   *
   * @throws IllegalArgumentException when a figure makes no sense
   */
  public static Treatment read(JsonNode node) {
    return node.isMissingNode() || node.isNull()
        ? Treatment.NONE
        : Records.read(node, Written.class).treatment();
  }

  static Treatment read(String text) {
    try {
      return Records.read(text, Written.class).treatment();
    } catch (IllegalArgumentException e) {
      throw new WorkbookException("What was decided about a run cannot be read.", e);
    }
  }
}
