package org.wiseember.report.film;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Captions of a film: as WebVTT (W3C, recalled from memory) and as SubRip, which nobody published a
 * standard of (common practice, no published source). Cues are in order and do not overlap.
 */
public final class Captions {
  /** A caption is read in this time, s. */
  public static final double SECONDS = 4;

  /** One that comes sooner is joined to the one before, s. */
  private static final double LEAST = 1;

  private final List<Cue> cues;

  private Captions(List<Cue> cues) {
    this.cues = List.copyOf(cues);
  }

  /**
   * Something that happened.
   *
   * @param seconds from the beginning of the film; those before it are left out
   */
  public record Moment(double seconds, String words) {}

  /** Captions of moments: each stays until it is read, or until the next one comes. */
  public static Captions of(List<Moment> moments) {
    List<Moment> sorted =
        moments.stream()
            .filter(m -> m.seconds() >= 0 && Double.isFinite(m.seconds()))
            .filter(m -> !m.words().isBlank())
            .sorted(Comparator.comparingDouble(Moment::seconds))
            .toList();
    List<Moment> joined = new ArrayList<>();
    for (Moment m : sorted) {
      Moment last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
      if (last != null && m.seconds() - last.seconds() < LEAST) {
        joined.set(
            joined.size() - 1,
            last.words().lines().toList().containsAll(m.words().lines().toList())
                ? last
                : new Moment(last.seconds(), last.words() + "\n" + m.words()));
      } else {
        joined.add(m);
      }
    }
    List<Cue> cues = new ArrayList<>();
    for (int i = 0; i < joined.size(); i++) {
      double from = joined.get(i).seconds();
      double next = i + 1 < joined.size() ? joined.get(i + 1).seconds() : Double.POSITIVE_INFINITY;
      cues.add(new Cue(from, Math.min(next, from + SECONDS), joined.get(i).words()));
    }
    return new Captions(cues);
  }

  public List<Cue> cues() {
    return cues;
  }

  /** As WebVTT. */
  public String vtt() {
    StringBuilder out = new StringBuilder("WEBVTT\n");
    for (Cue cue : cues) {
      out.append('\n')
          .append(time(cue.from(), '.'))
          .append(" --> ")
          .append(time(cue.to(), '.'))
          .append('\n')
          .append(
              lines(cue.words()).replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;"))
          .append('\n');
    }
    return out.toString();
  }

  /** As SubRip. */
  public String srt() {
    StringBuilder out = new StringBuilder();
    int number = 0;
    for (Cue cue : cues) {
      out.append(++number)
          .append('\n')
          .append(time(cue.from(), ','))
          .append(" --> ")
          .append(time(cue.to(), ','))
          .append('\n')
          // Players take what stands in angle brackets for markup.
          .append(lines(cue.words()).replace('<', '‹').replace('>', '›'))
          .append("\n\n");
    }
    return out.toString();
  }

  /** An empty line would end the caption, and so would a sign that moves the cursor. */
  private static String lines(String words) {
    return words
        .lines()
        .map(l -> l.replaceAll("\\p{Cntrl}", " ").strip())
        .filter(l -> !l.isEmpty())
        .collect(Collectors.joining("\n"));
  }

  private static String time(double seconds, char point) {
    long ms = Math.round(seconds * 1000);
    return String.format(
        Locale.ROOT,
        "%02d:%02d:%02d%c%03d",
        ms / 3_600_000,
        ms / 60_000 % 60,
        ms / 1000 % 60,
        point,
        ms % 1000);
  }
}
