package org.wiseember.core.label;

import java.util.Optional;
import org.wiseember.core.label.LabelLexer.Measure;
import org.wiseember.core.label.LabelWords.Aspect;
import org.wiseember.core.label.LabelWords.Part;

/**
 * A figure of a label line with the words it stands among, in lower case.
 *
 * @param pre between the figure before it and it
 * @param post between it and the figure after it
 * @param around what tells what kind of figure it is
 * @param piece of the line, between commas and brackets
 * @param line all of it
 * @param part of the unit the line is about just there; null where it has not said
 */
record LabelFigure(
    Measure measure, String pre, String post, String around, String piece, String line, Part part) {
  /** What kind of watts it is, by the words around. */
  Optional<Aspect> aspect() {
    return LabelWords.power(around);
  }

  /** Whether an aspect is named in its piece of the line. */
  boolean says(Aspect aspect) {
    return LabelWords.has(piece, aspect);
  }

  /** Whether an aspect is named anywhere in the line. */
  boolean lineSays(Aspect aspect) {
    return LabelWords.has(line, aspect);
  }

  boolean of(Part wanted) {
    return part == wanted;
  }
}
