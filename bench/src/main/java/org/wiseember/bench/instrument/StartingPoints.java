package org.wiseember.bench.instrument;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Descriptions to begin with; they fit the stand-ins, and a real meter after a few changes. */
public final class StartingPoints {
  private static final List<String> FILES =
      List.of(
          "plug-meter.json",
          "scpi-ac-meter.json",
          "scpi-dc-meter.json",
          "scpi-dc-load.json",
          "scpi-thermometer.json",
          "scpi-scope.json",
          "modbus-energy-meter.json",
          "scpi-serial-meter.json",
          "modbus-rtu-meter.json");

  private StartingPoints() {}

  /** All of them. */
  public static List<InstrumentDescription> all() {
    return FILES.stream().map(StartingPoints::read).toList();
  }

  private static InstrumentDescription read(String name) {
    try (InputStream in = StartingPoints.class.getResourceAsStream(name)) {
      return DescriptionJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException | DescriptionUnreadable e) {
      throw new IllegalStateException(name + " ships with the program and cannot be read", e);
    }
  }
}
