package org.wiseember.report.look;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/**
 * Colours by meaning, as {@code #RRGGBB}. The only place with colour values: style sheets, charts
 * and pages take them from here. Every ink has a contrast of at least 4.5 : 1 on paper, sheet and
 * wash.
 *
 * @param paper behind everything
 * @param sheet what is written on
 * @param rule hairlines
 * @param ink text
 * @param quiet lesser text
 * @param soot the dark shelf and foot
 * @param sootRaised the chosen entry on the shelf
 * @param sootInk text on soot
 * @param sootQuiet lesser text on soot
 * @param ember marks and fills of what was measured
 * @param emberInk text of what was measured
 * @param emberWash behind what was measured
 * @param sootEmber ember on soot
 * @param steel marks, fills and text of what is claimed
 * @param steelWash behind what is claimed
 * @param kept a claim kept
 * @param shortOf a claim not kept
 * @param close too close to call
 * @param onEmber text on an ember fill
 * @param dark whether this is the set for a dim workshop
 */
public record Palette(
    String paper,
    String sheet,
    String rule,
    String ink,
    String quiet,
    String soot,
    String sootRaised,
    String sootInk,
    String sootQuiet,
    String ember,
    String emberInk,
    String emberWash,
    String sootEmber,
    String steel,
    String steelWash,
    String kept,
    String shortOf,
    String close,
    String onEmber,
    boolean dark) {
  public static final Palette LIGHT =
      new Palette(
          "#F5F0E7", "#FFFDF8", "#E2D8C7", "#2A2521", "#665B50", "#2B2724", "#3A3531", "#FBF7F0",
          "#B8AC9E", "#C94C12", "#A53908", "#F7DCC9", "#F08A4B", "#2F5D7C", "#D3E2EC", "#2E6839",
          "#A02E28", "#7F5806", "#FFFFFF", false);

  public static final Palette DARK =
      new Palette(
          "#1F1C19", "#282420", "#443D35", "#F1EAE0", "#B9AD9E", "#141210", "#2B2622", "#F1EAE0",
          "#B3A798", "#EE8547", "#F2945A", "#4A2B1A", "#F2945A", "#93BEDD", "#20384A", "#86C893",
          "#F2968C", "#E0B35A", "#1F1C19", true);

  /** The tokens by name, in the spelling style sheets use: {@code ember-wash}. */
  public Map<String, String> tokens() {
    Map<String, String> tokens = new LinkedHashMap<>();
    for (var component : Palette.class.getRecordComponents()) {
      if (component.getType() == String.class) {
        try {
          String name = component.getName().replaceAll("([A-Z])", "-$1").toLowerCase(Locale.ROOT);
          tokens.put(name, (String) component.getAccessor().invoke(this));
        } catch (ReflectiveOperationException e) {
          throw new IllegalStateException(e);
        }
      }
    }
    return tokens;
  }

  /** A token for drawing. */
  public static java.awt.Color awt(String colour) {
    return java.awt.Color.decode(colour);
  }

  /**
   * Contrast of two colours by WCAG 2.1: from 1 to 21.
   *
   * @param one as {@code #RRGGBB}
   */
  public static double contrast(String one, String other) {
    double a = luminance(Integer.decode(one));
    double b = luminance(Integer.decode(other));
    return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
  }

  private static double luminance(int rgb) {
    return 0.2126 * linear(rgb >> 16 & 255)
        + 0.7152 * linear(rgb >> 8 & 255)
        + 0.0722 * linear(rgb & 255);
  }

  private static double linear(int channel) {
    double c = channel / 255.0;
    return c <= 0.03928 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
  }
}
