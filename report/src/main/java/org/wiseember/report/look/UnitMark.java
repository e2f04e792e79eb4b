package org.wiseember.report.look;

import java.awt.Shape;
import java.awt.geom.Path2D;

/**
 * How a unit is marked beside others: by shape and filling, and by colour as well, so that it is
 * told without colour. Twelve can be told apart.
 *
 * @param number of the unit on the page, from 0
 */
public record UnitMark(int number) {
  private static final int CORNERS = 20;

  private static final String[] SHAPES = {
    "disc", "square", "diamond", "triangle", "wedge", "hexagon"
  };

  /** Whether it is filled, else only its edge is drawn. */
  public boolean filled() {
    return number / SHAPES.length % 2 == 0;
  }

  private int shape() {
    return number % SHAPES.length;
  }

  /** {@code open square}. */
  public String words() {
    return (filled() ? "full " : "open ") + SHAPES[shape()];
  }

  /** Its colour in a palette. */
  public String colour(Palette palette) {
    return switch (number % 5) {
      case 0 -> palette.ember();
      case 1 -> palette.steel();
      case 2 -> palette.kept();
      case 3 -> palette.close();
      default -> palette.ink();
    };
  }

  /** The token of its colour, as style sheets spell it. */
  public String token() {
    return switch (number % 5) {
      case 0 -> "ember";
      case 1 -> "steel";
      case 2 -> "kept";
      case 3 -> "close";
      default -> "ink";
    };
  }

  /** Its corners about the middle, x and y in turn, as wide as 2. */
  public double[] corners() {
    return switch (shape()) {
      case 0 -> round(CORNERS, 0, 1);
      case 1 -> new double[] {-0.9, -0.9, 0.9, -0.9, 0.9, 0.9, -0.9, 0.9};
      case 2 -> new double[] {0, -1.2, 1.2, 0, 0, 1.2, -1.2, 0};
      case 3 -> new double[] {0, -1.1, 1.1, 0.9, -1.1, 0.9};
      case 4 -> new double[] {0, 1.1, 1.1, -0.9, -1.1, -0.9};
      default -> round(6, Math.PI / 6, 1.1);
    };
  }

  private static double[] round(int corners, double turned, double radius) {
    double[] all = new double[2 * corners];
    for (int i = 0; i < corners; i++) {
      double angle = turned + 2 * Math.PI * i / corners;
      all[2 * i] = radius * Math.cos(angle);
      all[2 * i + 1] = radius * Math.sin(angle);
    }
    return all;
  }

  /** As charts draw it, so many px from its middle to its edge. */
  public Shape shape(double radius) {
    Path2D path = new Path2D.Double();
    double[] at = corners();
    for (int i = 0; i < at.length; i += 2) {
      if (i == 0) {
        path.moveTo(radius * at[0], radius * at[1]);
      } else {
        path.lineTo(radius * at[i], radius * at[i + 1]);
      }
    }
    path.closePath();
    return path;
  }
}
