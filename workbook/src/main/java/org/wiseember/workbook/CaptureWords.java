package org.wiseember.workbook;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.core.waveform.CapturePlace;

/**
 * What the words under a capture meant before layout 8, when they were all there was: {@code
 * Mains}, {@code No load}, {@code 1 080 W}.
 */
public final class CaptureWords {
  private static final Pattern LOAD = Pattern.compile("(\\d[\\d\\u2009 ]*(?:\\.\\d+)?)\\s*W\\b.*");

  private CaptureWords() {}

  /** The note these words meant. */
  public static CaptureNote read(String words) {
    if (words.equals("Mains")) {
      return CaptureNote.ofMains();
    }
    if (words.equals("No load")) {
      return CaptureNote.ofLoad(0);
    }
    Matcher load = LOAD.matcher(words);
    return load.matches()
        ? new CaptureNote(
            words,
            CapturePlace.OUTPUT,
            Double.parseDouble(load.group(1).replaceAll("[\\u2009 ]", "")))
        : CaptureNote.of(words);
  }
}
