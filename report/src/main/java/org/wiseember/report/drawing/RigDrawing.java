package org.wiseember.report.drawing;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Axis;
import org.wiseember.report.plot.Ink;
import org.wiseember.report.plot.Mark;
import org.wiseember.report.plot.Panel;
import org.wiseember.report.plot.Pen;
import org.wiseember.report.plot.Place;
import org.wiseember.report.plot.Plot;

/**
 * How a test is wired: things in a row, joined by leads, and probes beside them.
 *
 * @param row from the source on the left to the load on the right
 * @param leads between each thing and the next, so one fewer
 * @param probes hanging on things of the row
 */
public record RigDrawing(List<Thing> row, List<Lead> leads, List<Probe> probes) implements Drawing {
  private static final float LEAD = 1.8f;
  private static final float EDGE = 1.4f;

  /** A box is so wide where things stand 1 apart. */
  private static final double HALF_BOX = 0.33;

  private static final double HALF_HIGH = 0.3;
  private static final double FUSE_WIDE = 0.09;
  private static final double FUSE_HIGH = 0.07;
  private static final double LINE = 0.24;
  private static final double PROBE = -0.85;
  private static final int CROWDED = 3;

  /**
   * A thing of the rig.
   *
   * @param words a line each
   * @param meter whether it is read
   */
  public record Thing(List<String> words, boolean meter) {
    public Thing {
      words = List.copyOf(words);
    }
  }

  /**
   * A lead.
   *
   * @param fuse in it, such as {@code 10 A}; empty for none
   * @param gauge of it; empty where nothing is said
   */
  public record Lead(String fuse, String gauge) {}

  /**
   * What hangs on a thing of the row.
   *
   * @param on its place in the row
   * @param isolated whether it may only touch through isolation
   */
  public record Probe(int on, String words, boolean isolated) {}

  public RigDrawing {
    row = List.copyOf(row);
    leads = List.copyOf(leads);
    probes = List.copyOf(probes);
    if (row.isEmpty() || leads.size() != row.size() - 1) {
      throw new IllegalArgumentException("there is a lead between each two things of a rig");
    }
  }

  @Override
  public Plot plot(double scale) {
    List<Mark> marks = new ArrayList<>();
    for (int i = 0; i < leads.size(); i++) {
      lead(marks, i, leads.get(i));
    }
    probes.forEach(p -> probe(marks, p));
    for (int i = 0; i < row.size(); i++) {
      thing(marks, i, row.get(i));
    }
    return new Plot(
        Axis.unseen(-0.42, row.size() - 0.58),
        new Panel(Axis.unseen(probes.isEmpty() ? -0.55 : -1.25, 0.75), Panel.Grid.NONE, marks));
  }

  private void thing(List<Mark> marks, int at, Thing thing) {
    marks.add(
        new Mark.Box(
            at - HALF_BOX,
            -HALF_HIGH,
            at + HALF_BOX,
            HALF_HIGH,
            thing.meter() ? Palette::emberWash : Palette::sheet,
            1,
            new Pen(thing.meter() ? Palette::ember : Palette::ink, EDGE)));
    List<String> words = thing.words();
    for (int i = 0; i < words.size(); i++) {
      double y = LINE * ((words.size() - 1) / 2.0 - i);
      Ink ink = thing.meter() ? Palette::emberInk : Palette::ink;
      marks.add(words(words.get(i), at, y, ink, Place.CENTER));
    }
  }

  private Mark words(String text, double x, double y, Ink ink, Place place) {
    Mark.Words words = new Mark.Words(text, x, y, place, ink);
    // Four boxes in a narrow panel leave their words little room.
    return row.size() > CROWDED ? words.in(Face.FIGURE, 0.92) : words.in(Face.TEXT, 1);
  }

  private void lead(List<Mark> marks, int at, Lead lead) {
    marks.add(
        Mark.Line.between(at + HALF_BOX, 0, at + 1 - HALF_BOX, 0, new Pen(Palette::ink, LEAD)));
    double middle = at + 0.5;
    if (!lead.fuse().isEmpty()) {
      marks.add(
          new Mark.Box(
              middle - FUSE_WIDE,
              -FUSE_HIGH,
              middle + FUSE_WIDE,
              FUSE_HIGH,
              Palette::sheet,
              1,
              new Pen(Palette::ink, EDGE)));
      marks.add(words(lead.fuse(), middle, HALF_HIGH + 0.1, Palette::ink, Place.BOTTOM_CENTER));
    }
    if (!lead.gauge().isEmpty()) {
      marks.add(words(lead.gauge(), middle, -HALF_HIGH - 0.1, Palette::quiet, Place.TOP_CENTER));
    }
  }

  private void probe(List<Mark> marks, Probe probe) {
    Ink ink = probe.isolated() ? Palette::shortOf : Palette::quiet;
    marks.add(
        Mark.Line.between(probe.on(), -HALF_HIGH, probe.on(), PROBE, new Pen(ink, 1.6f, 1, 5)));
    int last = row.size() - 1;
    boolean right = last > 0 && probe.on() == last;
    boolean left = last > 0 && probe.on() == 0;
    marks.add(
        words(
            probe.words(),
            right ? probe.on() + HALF_BOX : left ? probe.on() - HALF_BOX : probe.on(),
            PROBE - 0.06,
            Palette::ink,
            right ? Place.TOP_RIGHT : left ? Place.TOP_LEFT : Place.TOP_CENTER));
  }
}
