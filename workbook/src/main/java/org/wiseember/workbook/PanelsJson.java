package org.wiseember.workbook;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Objects;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.core.solar.Site;
import org.wiseember.core.solar.SunDay;
import org.wiseember.workbook.json.Records;

/** Panels on hand and where they stand as JSON; see docs/formats.md. */
final class PanelsJson {
  private PanelsJson() {}

  private record Written(
      @JsonInclude(JsonInclude.Include.ALWAYS) List<Panels> panels, WrittenSite site) {
    Written {
      Objects.requireNonNull(site);
    }
  }

  private record Panels(
      String name,
      int count,
      double openVolts,
      double shortAmps,
      double peakVolts,
      double peakAmps,
      double voltsPercentPerKelvin,
      double ampsPercentPerKelvin,
      @JsonInclude(JsonInclude.Include.NON_DEFAULT) int cells) {
    static Panels of(PanelsOnHand.Lot lot) {
      Panel p = lot.panel();
      return new Panels(
          p.name(),
          lot.count(),
          p.openVolts(),
          p.shortAmps(),
          p.peakVolts(),
          p.peakAmps(),
          p.voltsPerKelvin(),
          p.ampsPerKelvin(),
          p.cells());
    }

    PanelsOnHand.Lot lot() {
      return new PanelsOnHand.Lot(
          new Panel(
              name,
              openVolts,
              shortAmps,
              peakVolts,
              peakAmps,
              voltsPercentPerKelvin,
              ampsPercentPerKelvin,
              cells),
          count);
    }
  }

  private record WrittenSite(
      double latitude,
      int dayOfYear,
      double tilt,
      double turned,
      double cloudiness,
      double coldestCelsius,
      double airCelsius) {
    static WrittenSite of(Site site) {
      SunDay d = site.day();
      return new WrittenSite(
          d.latitude(),
          d.dayOfYear(),
          d.tilt(),
          d.turned(),
          d.cloudiness(),
          site.coldestCelsius(),
          site.airCelsius());
    }

    Site site() {
      return new Site(
          new SunDay(latitude, dayOfYear, tilt, turned, cloudiness), coldestCelsius, airCelsius);
    }
  }

  static String write(PanelsOnHand panels) {
    return Records.write(
        new Written(
            panels.lots().stream().map(Panels::of).toList(), WrittenSite.of(panels.site())));
  }

  /** None where nothing was kept. */
  static PanelsOnHand read(String json) {
    if (json.isBlank()) {
      return PanelsOnHand.NONE;
    }
    try {
      Written written = Records.read(json, Written.class);
      return new PanelsOnHand(
          written.panels().stream().map(Panels::lot).toList(), written.site().site());
    } catch (IllegalArgumentException e) {
      throw new WorkbookException("The panels kept in the workbook cannot be read.", e);
    }
  }
}
