package org.wiseember.desktop.verdict;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import org.wiseember.desktop.look.Words;
import org.wiseember.report.look.ClaimScale;

/** The words over the seam: percent of the claim, the claim itself in the middle. */
final class ClaimScaleHead extends Region {
  private final List<Label> labels = new ArrayList<>();

  ClaimScaleHead() {
    for (int percent : ClaimScale.TICKS) {
      boolean last = percent == ClaimScale.TICKS.get(ClaimScale.TICKS.size() - 1);
      Label label =
          percent == 100
              ? Words.line("seam-label-claim", "claim")
              : Words.line("seam-label", percent + (last ? " %" : ""));
      labels.add(label);
    }
    getChildren().addAll(labels);
  }

  @Override
  protected double computePrefHeight(double width) {
    return labels.get(0).prefHeight(-1);
  }

  @Override
  protected double computeMinHeight(double width) {
    return computePrefHeight(width);
  }

  @Override
  protected void layoutChildren() {
    double clear = Double.NEGATIVE_INFINITY;
    double claimLeft = 0;
    double claimRight = 0;
    for (int pass = 0; pass < 2; pass++) {
      for (int i = 0; i < labels.size(); i++) {
        Label label = labels.get(i);
        boolean claim = ClaimScale.TICKS.get(i) == 100;
        double w = Math.ceil(label.prefWidth(-1));
        double x = 6 + ClaimScale.at(ClaimScale.TICKS.get(i)) * (getWidth() - 12) - w / 2;
        x = Math.max(0, Math.min(getWidth() - w, x));
        if (pass == 0) {
          if (claim) {
            claimLeft = x;
            claimRight = x + w;
            label.resizeRelocate(x, 0, w, label.prefHeight(-1));
          }
        } else if (!claim) {
          // A figure that would touch its neighbour is left out; the lines still tell.
          boolean free = x > clear + 4 && (x + w < claimLeft - 4 || x > claimRight + 4);
          label.setVisible(free);
          label.resizeRelocate(x, 0, w, label.prefHeight(-1));
          clear = free ? x + w : clear;
        }
      }
    }
  }
}
