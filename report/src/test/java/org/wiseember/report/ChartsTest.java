package org.wiseember.report;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.plot.CombinedDomainXYPlot;
import org.jfree.chart.plot.XYPlot;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.report.chart.ChartSvg;
import org.wiseember.report.chart.Charts;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.CycleDrawing;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.drawing.EnduranceDrawing;
import org.wiseember.report.drawing.HarmonicsDrawing;
import org.wiseember.report.drawing.RowsDrawing;
import org.wiseember.report.drawing.Upright;
import org.wiseember.report.drawing.WaveDrawing;
import org.wiseember.report.look.Palette;
import org.wiseember.report.plot.Mark;

/**
 * Charts say what they show: their words and places, light and dark, with much and with nothing.
 */
public class ChartsTest {
  @DataProvider
  Object[][] looks() {
    return new Object[][] {{Palette.LIGHT}, {Palette.DARK}};
  }

  private static String svg(JFreeChart chart) {
    return ChartSvg.of(chart, 700, 320);
  }

  private static EnduranceDrawing endurance() {
    return new EnduranceDrawing(
        List.of(
            new EnduranceDrawing.Try(600, 1200, false), new EnduranceDrawing.Try(108, 1548, true)),
        List.of(
            new EnduranceDrawing.Point(2000, 20, 30, 45),
            new EnduranceDrawing.Point(1548, 100, 110, 120),
            new EnduranceDrawing.Point(1320, 600, 900, Double.POSITIVE_INFINITY)),
        List.of(
            new EnduranceDrawing.Step(1200, Double.POSITIVE_INFINITY),
            new EnduranceDrawing.Step(1500, 120),
            new EnduranceDrawing.Step(2400, 1)));
  }

  @Test(dataProvider = "looks")
  public void anEnduranceMapNamesItsParts(Palette palette) {
    String svg = svg(Charts.of(endurance(), palette, 1));
    for (String words :
        List.of("promised on the label", "where it trips", "1 min", "10 min", "held for")) {
      assertTrue(svg.contains(words), words);
    }
    assertFalse(svg.contains("NaN"));
  }

  /** The label's stairs go down from short to long, one step for each promise. */
  @Test
  public void theStairsAreThoseOfTheLabel() {
    List<Mark> marks = marks(endurance());
    Mark.Line stairs = all(Mark.Line.class, marks).get(0);
    assertEquals(stairs.x().length, 6);
    for (int i = 1; i < 6; i++) {
      assertTrue(stairs.y()[i] <= stairs.y()[i - 1] + 1e-12);
    }
    assertEquals(stairs.x()[1], 0, 1e-9, "one second");
    assertEquals(stairs.x()[3], Math.log10(120), 1e-9);
    List<Mark.Dots> tries = all(Mark.Dots.class, marks);
    assertEquals(tries.size(), 2, "one held, one tripped");
    assertNotEquals(tries.get(0).dot().fill(), tries.get(1).dot().fill());
  }

  private static List<Mark> marks(Drawing drawing) {
    return drawing.plot(1).panels().get(0).marks();
  }

  private static <M extends Mark> List<M> all(Class<M> kind, List<Mark> marks) {
    return marks.stream().filter(kind::isInstance).map(kind::cast).toList();
  }

  /** Each row stands under its own name, with its figure, its mark and what was said beside it. */
  @Test(dataProvider = "looks")
  public void rowsStandUnderTheirNames(Palette palette) {
    RowsDrawing drawing =
        new RowsDrawing(
            "watts into the port, W",
            List.of(
                new RowsDrawing.Row("1 x 100 W", 71, 2, OptionalDouble.empty(), "71 ± 2 W"),
                new RowsDrawing.Row("3 <in> series", 203, 4, OptionalDouble.of(260), "203 ± 4 W")));
    JFreeChart chart = Charts.of(drawing, palette, 1);
    List<Mark.Dots> dots = all(Mark.Dots.class, marks(drawing));
    assertEquals(dots.stream().map(d -> d.x()[0]).toList(), List.of(71.0, 203.0, 260.0));
    assertTrue(dots.get(0).y()[0] > dots.get(1).y()[0], "from top to bottom");
    assertEquals(dots.get(1).y()[0], dots.get(2).y()[0], "what was said beside what was found");
    assertTrue(drawing.plot(1).across().most() > 260 * 1.1);
    String svg = svg(chart);
    for (String words : List.of("1 x 100 W", "71 ± 2 W", "203 ± 4 W", "watts into the port, W")) {
      assertTrue(svg.contains(words), words);
    }
    assertFalse(svg.contains("<in>"));
    assertFalse(svg(Charts.of(new RowsDrawing("W", List.of()), palette, 1.5)).contains("NaN"));
  }

  @Test(dataProvider = "looks")
  public void nothingToShowIsStillAChart(Palette palette) {
    String svg =
        svg(Charts.of(new EnduranceDrawing(List.of(), List.of(), List.of()), palette, 1.5));
    assertTrue(svg.contains("held for"));
    String wave =
        svg(
            Charts.of(
                new WaveDrawing(
                    new double[0], new double[0], new double[0], Double.NaN, Double.NaN, ""),
                palette,
                1));
    assertTrue(wave.contains("time, ms"));
  }

  @Test(dataProvider = "looks")
  public void aWaveMarksItsGap(Palette palette) {
    double[] t = new double[900];
    double[] v = new double[900];
    for (int i = 0; i < t.length; i++) {
      t[i] = i * 0.1 - 45;
      v[i] = t[i] > 0 && t[i] < 14 ? 0 : 325 * Math.sin(2 * Math.PI * t[i] / 20);
    }
    String alone =
        svg(Charts.of(new WaveDrawing(t, v, new double[0], 0, 14, "14.0 ms"), palette, 1));
    assertTrue(alone.contains("14.0 ms"));
    assertTrue(alone.contains("\u2212200"), "a true minus sign");
    // Rotated names are drawn as outlines, so the plot itself is asked.
    XYPlot both = Charts.of(new WaveDrawing(t, v, v, Double.NaN, 0, ""), palette, 1).getXYPlot();
    assertEquals(both.getRangeAxis(0).getLabel(), "volts, V");
    assertEquals(both.getRangeAxis(1).getLabel(), "amps, A");
  }

  /** Figures on axes have their thousands apart, as everywhere. */
  @Test
  public void axesWriteFiguresAsThePageDoes() {
    CurveDrawing figure =
        new CurveDrawing(
            "load, W",
            "efficiency, %",
            List.of(new CurveDrawing.Point(2400, 91, 1), new CurveDrawing.Point(200, 85, 1)),
            List.of(),
            Double.NaN,
            "",
            List.of(new Upright(1000, "one"), new Upright(1010, "other")),
            80,
            100);
    String svg = svg(Charts.of(figure, Palette.LIGHT, 1));
    assertTrue(svg.contains("2\u00a0000") || svg.contains("2&#160;000"), svg.substring(0, 200));
    assertFalse(svg.contains("2,000"));
    assertTrue(svg.contains("one") && svg.contains("other"));
  }

  private static CycleDrawing.Line line(double peak, int cycles) {
    double[] t = new double[800];
    double[] v = new double[800];
    for (int i = 0; i < t.length; i++) {
      t[i] = i * 0.05;
      v[i] = peak * Math.sin(2 * Math.PI * cycles * t[i] / 40);
    }
    return new CycleDrawing.Line(t, v);
  }

  @Test(dataProvider = "looks")
  public void aCycleHasItsSineAndWhatIsLeftOnOneTimeAxis(Palette palette) {
    CycleDrawing figure =
        new CycleDrawing(
            line(325, 2), line(324, 2), line(4, 6), Optional.of(line(325, 2)), "the mains", 0, 40);
    JFreeChart chart = Charts.of(figure, palette, 1);
    String svg = svg(chart);
    for (String words : List.of("time, ms", "dashed: the mains")) {
      assertTrue(svg.contains(words), words);
    }
    List<String> axes = new ArrayList<>();
    for (Object part : ((CombinedDomainXYPlot) chart.getXYPlot()).getSubplots()) {
      axes.add(((XYPlot) part).getRangeAxis().getLabel());
    }
    assertEquals(axes, List.of("volts, V", "left over, V"));
    assertEquals(chart.getXYPlot().getDomainAxis().getLowerBound(), 0.0);
    assertEquals(chart.getXYPlot().getDomainAxis().getUpperBound(), 40.0);
    assertFalse(
        svg(Charts.of(
                new CycleDrawing(
                    line(325, 2), line(324, 2), line(4, 6), Optional.empty(), "", 0, 40),
                palette,
                1.5))
            .contains("dashed"));
  }

  @Test(dataProvider = "looks")
  public void harmonicsOverTheirCapSaySo(Palette palette) {
    HarmonicsDrawing figure =
        new HarmonicsDrawing(
            List.of(
                new HarmonicsDrawing.Bar(2, 0.1, 0.05, 2, false),
                new HarmonicsDrawing.Bar(3, 6.2, 0.1, 5, true),
                new HarmonicsDrawing.Bar(4, 0.4, 0.05, Double.NaN, false)),
            "caps: EN 50160");
    JFreeChart chart = Charts.of(figure, palette, 1);
    String svg = svg(chart);
    for (String words : List.of("harmonic order", "over", "caps: EN 50160")) {
      assertTrue(svg.contains(words), words);
    }
    List<Mark.Box> bars = all(Mark.Box.class, marks(figure));
    assertEquals(bars.stream().map(Mark.Box::high).toList(), List.of(0.1, 6.2, 0.4));
    assertEquals(
        bars.stream().map(b -> b.fill().in(palette).equals(palette.shortOf())).toList(),
        List.of(false, true, false),
        "those over are told apart");
    assertTrue(chart.getXYPlot().getRangeAxis().getUpperBound() > 6.2);
  }
}
