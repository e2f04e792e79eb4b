package org.wiseember.core.label;

import org.wiseember.core.quantity.Figures;

/**
 * Reads a label line by line, as printed. Tolerant: many spellings, several claims in a line, signs
 * and units where the printer put them. What it cannot place it leaves alone; what cannot be it
 * asks about.
 */
public final class LabelReader {
  /** Assumed around a nominal output voltage when the label prints no tolerance, %. */
  static final double VOLTAGE_TOLERANCE = 5;

  /** Assumed around a nominal frequency when the label prints no tolerance, %. */
  static final double FREQUENCY_TOLERANCE = 1;

  /** Longest line looked at; no printed label has longer ones. */
  static final int LONGEST_LINE = 500;

  /** Reads one line. Never throws: whatever is typed is one of the four readings. */
  public LineReading readLine(String line) {
    if (line.isBlank()) {
      return new LineReading.Blank(line);
    }
    LabelLine reading = new LabelLine(line);
    reading.read();
    if (reading.problem().isPresent()) {
      return new LineReading.Doubtful(line, reading.problem().get(), reading.claims());
    }
    return reading.claims().isEmpty()
        ? new LineReading.NoClaim(line)
        : new LineReading.Understood(line, reading.claims());
  }

  /** Unicode and spelling variants brought to one form. */
  static String tidy(String line) {
    String cut = line.length() > LONGEST_LINE ? line.substring(0, LONGEST_LINE) : line;
    return cut.replace('\u00a0', ' ')
        .replace('\u2009', ' ')
        .replace('\u202f', ' ')
        .replace('×', 'x')
        .replace('～', '~')
        .replace("V DC", "VDC")
        .replace("V AC", "VAC")
        .replaceAll("(?i)kilowatt[- ]hours?", "kWh")
        .replaceAll("(?i)watt[- ]?hours?", "Wh")
        .replaceAll("(?i)amp(?:ere)?[- ]?hours?", "Ah")
        .replaceAll("(?i)dB\\s?\\(A\\)", "dBA")
        .replaceAll("(?i)° C\\b", "°C")
        .replaceAll("(?i)deg(?:rees)?\\.? ?C\\b", "°C")
        .replaceAll("(?i)\\bhalf an hour\\b", "0.5 h")
        .replaceAll("(?i)\\b(\\d+)\\s?h(?:ours?|rs?)?\\s?(\\d{1,2})\\s?m(?:in\\w*)?\\b", "$1h$2min")
        .replaceAll("\\s+", " ")
        .strip();
  }

  /** For a claim in words: what a figure would be written as, used by the label page's echo. */
  static String echo(Claim claim) {
    return claim.subject().words()
        + " "
        + claim.figureWords()
        + claim.conditionWords().map(w -> ", " + w).orElse("");
  }

  /** How many claims a label makes, in words. */
  public static String countWords(int claims) {
    return claims == 1 ? "1 claim read" : Figures.plain(claims) + " claims read";
  }
}
