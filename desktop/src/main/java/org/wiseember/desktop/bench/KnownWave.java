package org.wiseember.desktop.bench;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.StrokeLineJoin;
import org.wiseember.core.hand.OperatorEvent;

/** A wave as a scope shows it, to hold one's own beside: smooth, stepped, square. */
final class KnownWave {
  private static final double WIDTH = 84;
  private static final double HEIGHT = 26;
  private static final int POINTS = 168;
  private static final double CYCLES = 2;

  /** A stepped wave stands at nothing for so much of each half cycle on either side. */
  private static final double PAUSE = 0.16;

  private KnownWave() {}

  /** The wave a press speaks of; empty for another press. */
  static Optional<Polyline> of(OperatorEvent press) {
    return switch (press) {
      case LOOKS_SINE -> Optional.of(drawn(x -> Math.sin(2 * Math.PI * x)));
      case LOOKS_STEPPED -> Optional.of(drawn(KnownWave::stepped));
      case LOOKS_SQUARE -> Optional.of(drawn(x -> x % 1 < 0.5 ? 1 : -1));
      default -> Optional.empty();
    };
  }

  /** Full volts, nothing, full volts the other way, nothing. */
  private static double stepped(double cycles) {
    double half = 2 * (cycles % 0.5);
    boolean pause = half < PAUSE || half > 1 - PAUSE;
    return pause ? 0 : cycles % 1 < 0.5 ? 1 : -1;
  }

  private static Polyline drawn(DoubleUnaryOperator volts) {
    Polyline line = new Polyline();
    for (int i = 0; i <= POINTS; i++) {
      line.getPoints()
          .addAll(
              WIDTH * i / POINTS,
              HEIGHT / 2 * (1 - 0.92 * volts.applyAsDouble(CYCLES * i / POINTS)));
    }
    line.getStyleClass().add("known-wave");
    line.setStrokeLineJoin(StrokeLineJoin.ROUND);
    return line;
  }
}
