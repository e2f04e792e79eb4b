package org.wiseember.report.page;

import java.util.List;
import org.wiseember.report.chart.CycleFigure;
import org.wiseember.report.chart.HarmonicsFigure;

/**
 * What a page says of a unit's wave.
 *
 * @param title of the run
 * @param shown which capture the pictures show
 * @param cycle two cycles of it
 * @param harmonics of it
 * @param heads of the table
 * @param rows a capture each
 * @param words sentences under it
 */
public record WavePart(
    String title,
    String shown,
    CycleFigure cycle,
    HarmonicsFigure harmonics,
    List<String> heads,
    List<List<String>> rows,
    List<String> words) {
  public WavePart {
    heads = List.copyOf(heads);
    rows = List.copyOf(rows);
    words = List.copyOf(words);
  }
}
