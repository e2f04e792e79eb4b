package org.wiseember.workbook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.SunDay;

/** Panels on hand and where they stand as JSON; see docs/formats.md. */
final class PanelsJson {
  private static final ObjectMapper JSON = new ObjectMapper();

  private PanelsJson() {}

  static String write(PanelsOnHand panels) {
    ObjectNode root = JSON.createObjectNode();
    ArrayNode lots = root.putArray("panels");
    for (PanelsOnHand.Lot lot : panels.lots()) {
      Panel p = lot.panel();
      ObjectNode node = lots.addObject();
      node.put("name", p.name());
      node.put("count", lot.count());
      node.put("openVolts", p.openVolts());
      node.put("shortAmps", p.shortAmps());
      node.put("peakVolts", p.peakVolts());
      node.put("peakAmps", p.peakAmps());
      if (!Double.isNaN(p.voltsPerKelvin())) {
        node.put("voltsPercentPerKelvin", p.voltsPerKelvin());
      }
      if (!Double.isNaN(p.ampsPerKelvin())) {
        node.put("ampsPercentPerKelvin", p.ampsPerKelvin());
      }
      if (p.cells() > 0) {
        node.put("cells", p.cells());
      }
    }
    Site site = panels.site();
    ObjectNode at = root.putObject("site");
    at.put("latitude", site.day().latitude());
    at.put("dayOfYear", site.day().dayOfYear());
    at.put("tilt", site.day().tilt());
    at.put("turned", site.day().turned());
    at.put("cloudiness", site.day().cloudiness());
    at.put("coldestCelsius", site.coldestCelsius());
    at.put("airCelsius", site.airCelsius());
    return root.toString();
  }

  /** None where nothing was kept. */
  static PanelsOnHand read(String json) {
    if (json.isBlank()) {
      return PanelsOnHand.NONE;
    }
    try {
      JsonNode root = JSON.readTree(json);
      List<PanelsOnHand.Lot> lots = new ArrayList<>();
      for (JsonNode node : root.path("panels")) {
        Panel panel =
            new Panel(
                node.path("name").asText(),
                number(node, "openVolts"),
                number(node, "shortAmps"),
                number(node, "peakVolts"),
                number(node, "peakAmps"),
                number(node, "voltsPercentPerKelvin"),
                number(node, "ampsPercentPerKelvin"),
                node.path("cells").asInt(0));
        lots.add(new PanelsOnHand.Lot(panel, node.path("count").asInt()));
      }
      JsonNode at = root.path("site");
      SunDay day =
          new SunDay(
              number(at, "latitude"),
              at.path("dayOfYear").asInt(),
              number(at, "tilt"),
              number(at, "turned"),
              number(at, "cloudiness"));
      return new PanelsOnHand(
          lots, new Site(day, number(at, "coldestCelsius"), number(at, "airCelsius")));
    } catch (JsonProcessingException | IllegalArgumentException e) {
      throw new WorkbookException("The panels kept in the workbook cannot be read.", e);
    }
  }

  private static double number(JsonNode node, String key) {
    JsonNode value = node.path(key);
    return value.isNumber() ? value.asDouble() : Double.NaN;
  }
}
