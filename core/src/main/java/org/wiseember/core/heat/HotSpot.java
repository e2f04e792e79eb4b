package org.wiseember.core.heat;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * The hottest place that was found, and how far it lies above the room.
 *
 * @param celsius °C
 * @param place where; empty where nobody said
 * @param roomCelsius °C at that time
 * @param camera class of what saw it
 * @param probe class of the room's thermometer
 */
public record HotSpot(
    double celsius, String place, double roomCelsius, MeterClass camera, MeterClass probe) {
  /** A plug or a case hotter than this ends a test, °C; common practice, no published source. */
  public static final double TOO_HOT = 60;

  /** {@code 61.5 °C at the outlet}. */
  public String words() {
    return Figures.fixed(celsius, 1) + "\u00a0°C" + (place.isEmpty() ? "" : " at " + place);
  }

  /** How far it lies above the room, K. */
  public Figure rise() {
    Budget budget =
        Budget.of().with("Camera", camera, celsius, 1).with("Room", probe, roomCelsius, -1);
    List<String> watch = new ArrayList<>();
    watch.add("A camera reads shiny metal far too low; matt black tape reads true.");
    if (place.isEmpty()) {
      watch.add("Where it was is not noted; plugs and outlets are often hotter than the cells.");
    }
    if (celsius >= TOO_HOT) {
      watch.add(
          Figures.plain(TOO_HOT)
              + "\u00a0°C and more is where to stop: load off, and look at plug and outlet.");
    }
    return Figure.of(
        "hot_spot",
        "Hottest spot above the room",
        celsius - roomCelsius,
        Unit.KELVIN,
        Because.of(
                budget,
                Figures.fixed(celsius, 1)
                    + "\u00a0°C − room "
                    + Figures.fixed(roomCelsius, 1)
                    + "\u00a0°C = "
                    + Figures.fixed(celsius - roomCelsius, 1)
                    + "\u00a0K")
            .summed(place.isEmpty() ? "the highest that was read" : "at " + place)
            .watching(watch)
            .otherwise(
                "Some give the temperature itself; only its rise can be compared with another"
                    + " day's."));
  }
}
