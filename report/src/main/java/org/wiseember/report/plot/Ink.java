package org.wiseember.report.plot;

import org.wiseember.report.look.Palette;

/** A colour by what it means, such as {@code Palette::ember} for what was measured. */
@FunctionalInterface
public interface Ink {
  /** What it is in a palette, as {@code #RRGGBB}. */
  String in(Palette palette);
}
