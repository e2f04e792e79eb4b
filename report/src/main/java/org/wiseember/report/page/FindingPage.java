package org.wiseember.report.page;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.report.drawing.Drawing;

/**
 * What a run found, as data: figures, charts, tables and sentences. Evidence, report and command
 * line draw the same.
 *
 * @param headlines the figures that come first, each opening its own because
 * @param parts below them, in order
 */
public record FindingPage(List<Explanation> headlines, List<Part> parts) {
  /** A part of a page. */
  public sealed interface Part permits Chart, Table, Sentences, Picture {}

  /**
   * A chart; several with one name are looked at one at a time.
   *
   * @param name of the row of choices; empty where there is only one
   * @param choice what this one is called among them
   */
  public record Chart(String name, String choice, Drawing drawing) implements Part {}

  /** A table: the first column words, the others figures. */
  public record Table(List<String> heads, List<List<String>> rows) implements Part {
    public Table {
      heads = List.copyOf(heads);
      rows = rows.stream().map(List::copyOf).toList();
    }
  }

  /** Sentences, one under the other. */
  public record Sentences(List<String> words) implements Part {
    public Sentences {
      words = List.copyOf(words);
    }
  }

  /**
   * A photo.
   *
   * @param jpeg as it is shown, made anew and without what a camera wrote into it
   * @param words under it
   */
  public record Picture(byte[] jpeg, String words) implements Part {
    public Picture {
      jpeg = jpeg.clone();
    }

    @Override
    public byte[] jpeg() {
      return jpeg.clone();
    }
  }

  public FindingPage {
    headlines = List.copyOf(headlines);
    parts = List.copyOf(parts);
  }

  /** A page of these headline figures. */
  public static FindingPage of(List<Figure> headlines) {
    return new FindingPage(headlines.stream().map(Explanation::of).toList(), List.of());
  }

  /** The same with one more headline, such as a count. */
  public FindingPage headed(Explanation headline) {
    List<Explanation> more = new ArrayList<>(headlines);
    more.add(headline);
    return new FindingPage(more, parts);
  }

  private FindingPage with(Part part) {
    List<Part> more = new ArrayList<>(parts);
    more.add(part);
    return new FindingPage(headlines, more);
  }

  /** The same with a chart. */
  public FindingPage chart(Drawing drawing) {
    return with(new Chart("", "", drawing));
  }

  /** The same with one chart of several. */
  public FindingPage chart(String name, String choice, Drawing drawing) {
    return with(new Chart(name, choice, drawing));
  }

  /** The same with a table; none for no rows. */
  public FindingPage table(List<String> heads, List<List<String>> rows) {
    return rows.isEmpty() ? this : with(new Table(heads, rows));
  }

  /** The same with sentences; none for none. */
  public FindingPage say(List<String> words) {
    return words.isEmpty() ? this : with(new Sentences(words));
  }

  /** The same with a photo. */
  public FindingPage picture(byte[] jpeg, String words) {
    return with(new Picture(jpeg, words));
  }

  /** In brief: the headlines and the first chart. */
  public FindingPage brief() {
    return new FindingPage(
        headlines, charts().stream().findFirst().map(c -> List.<Part>of(c)).orElse(List.of()));
  }

  /** The same with the parts of another below. */
  public FindingPage and(FindingPage other) {
    List<Part> more = new ArrayList<>(parts);
    more.addAll(other.parts());
    return new FindingPage(headlines, more);
  }

  /** Its charts. */
  public List<Chart> charts() {
    return parts.stream().filter(Chart.class::isInstance).map(Chart.class::cast).toList();
  }
}
