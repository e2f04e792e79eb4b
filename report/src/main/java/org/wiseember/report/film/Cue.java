package org.wiseember.report.film;

/**
 * A line of a film's captions.
 *
 * @param from s from the beginning of the film, 0 or more
 * @param to s, after {@code from}
 * @param words one line or a few
 */
public record Cue(double from, double to, String words) {
  public Cue {
    if (!(from >= 0) || !(to > from)) {
      throw new IllegalArgumentException("a caption begins at 0 or later and ends after that");
    }
  }
}
