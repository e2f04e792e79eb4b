package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;

/**
 * What one's reports are made of.
 *
 * @param full every run with its sums, or in brief the newest of each test
 * @param paper by its key
 * @param sheets keys of those wanted, in order; one that a unit has nothing for is passed over
 */
public record ReportChoice(boolean full, String paper, List<String> sheets) {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final int MOST = 200;

  /** What one begins with. */
  public static final ReportChoice USUAL =
      new ReportChoice(false, "a4", List.of("verdict", "waveform"));

  public ReportChoice {
    sheets = List.copyOf(sheets);
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
    ObjectNode node = JSON.createObjectNode();
    node.put("full", full).put("paper", paper);
    sheets.forEach(node.putArray("sheets")::add);
    return node.toString();
  }

  /** What was kept; the usual where nothing was, or nothing that can be read. */
  static ReportChoice read(String json) {
    if (json.isBlank()) {
      return USUAL;
    }
    try {
      JsonNode node = JSON.readTree(json);
      List<String> sheets = new ArrayList<>();
      for (JsonNode sheet : node.path("sheets")) {
        if (sheets.size() < MOST && !sheets.contains(sheet.asText())) {
          sheets.add(sheet.asText());
        }
      }
      return new ReportChoice(
          node.path("full").asBoolean(), node.path("paper").asText("a4"), sheets);
    } catch (JsonProcessingException damaged) {
      return USUAL;
    }
  }
}
