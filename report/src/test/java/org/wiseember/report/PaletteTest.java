package org.wiseember.report;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.report.look.ClaimScale;
import org.wiseember.report.look.Palette;

public class PaletteTest {
  @DataProvider
  Object[][] palettes() {
    return new Object[][] {{Palette.LIGHT}, {Palette.DARK}};
  }

  /** WCAG 2.1, success criterion 1.4.3: text has a contrast of at least 4.5 : 1. */
  @Test(dataProvider = "palettes")
  public void everyInkReadsOnWhatItStandsOn(Palette p) {
    String[] grounds = {p.paper(), p.sheet(), p.emberWash()};
    String[] inks = {p.ink(), p.quiet(), p.emberInk(), p.steel(), p.kept(), p.shortOf(), p.close()};
    for (String ground : grounds) {
      for (String ink : inks) {
        assertTrue(
            Palette.contrast(ink, ground) >= 4.5,
            ink + " on " + ground + ": " + Palette.contrast(ink, ground));
      }
    }
    for (String ink : new String[] {p.sootInk(), p.sootQuiet(), p.sootEmber()}) {
      assertTrue(Palette.contrast(ink, p.soot()) >= 4.5, ink + " on soot");
      assertTrue(Palette.contrast(ink, p.sootRaised()) >= 4.5, ink + " on raised soot");
    }
    assertTrue(Palette.contrast(p.onEmber(), p.ember()) >= 4.5, "on ember");
    assertTrue(Palette.contrast(p.onEmber(), p.emberInk()) >= 4.5, "on ember, hovered");
    assertTrue(Palette.contrast(p.soot(), p.sootEmber()) >= 4.5, "pace chosen");
    assertTrue(Palette.contrast(p.ink(), p.steelWash()) >= 4.5, "found row");
  }

  /** Worked values of WCAG: black on white is 21, a colour on itself 1. */
  @Test
  public void contrastOfKnownPairs() {
    assertEquals(Palette.contrast("#000000", "#FFFFFF"), 21, 1e-9);
    assertEquals(Palette.contrast("#777777", "#FFFFFF"), 4.48, 0.01);
    assertEquals(Palette.contrast("#123456", "#123456"), 1, 1e-9);
  }

  @Test
  public void seamScaleHoldsItsEnds() {
    assertEquals(ClaimScale.at(100), 0.5, 1e-12);
    assertEquals(ClaimScale.at(0), 0.0);
    assertEquals(ClaimScale.at(1000), 1.0);
    assertTrue(ClaimScale.beyond(150));
  }
}
