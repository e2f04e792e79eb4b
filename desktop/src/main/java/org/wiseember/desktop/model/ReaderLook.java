package org.wiseember.desktop.model;

import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import org.jfree.chart.JFreeChart;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.report.chart.Charts;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.look.Palette;

/** How the reader likes it: colours, text, units. */
public final class ReaderLook {
  private static final double[] TEXT_STEPS = {1, 1.15, 1.3, 1.5};

  private final ObjectProperty<Palette> palette = new SimpleObjectProperty<>(Palette.LIGHT);
  private final ObjectProperty<ReaderUnits> units = new SimpleObjectProperty<>(ReaderUnits.AS_KEPT);
  private final DoubleProperty textScale = new SimpleDoubleProperty(1);

  public ObjectProperty<Palette> palette() {
    return palette;
  }

  /** Calls this whenever what is drawn has to be drawn anew: other colours, text or units. */
  public void whenLookChanges(Runnable draw) {
    palette.addListener((o, was, is) -> draw.run());
    textScale.addListener((o, was, is) -> draw.run());
    units.addListener((o, was, is) -> draw.run());
  }

  /** What the reader wants figures told in. */
  public ObjectProperty<ReaderUnits> units() {
    return units;
  }

  /** A drawing as the reader likes it: in these colours, this size of text and these units. */
  public JFreeChart drawn(Drawing drawing) {
    return Charts.of(drawing.in(units.get()), palette.get(), textScale.get());
  }

  public DoubleProperty textScale() {
    return textScale;
  }

  /** Larger or smaller text, one step. */
  public void changeText(int by) {
    int at = 0;
    for (int i = 0; i < TEXT_STEPS.length; i++) {
      if (Math.abs(TEXT_STEPS[i] - textScale.get()) < 0.01) {
        at = i;
      }
    }
    textScale.set(TEXT_STEPS[Math.max(0, Math.min(TEXT_STEPS.length - 1, at + by))]);
  }

  /** Light or dark. */
  public void switchPalette() {
    palette.set(palette.get().dark() ? Palette.LIGHT : Palette.DARK);
  }
}
