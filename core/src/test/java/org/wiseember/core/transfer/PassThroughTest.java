package org.wiseember.core.transfer;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;

/** Who feeds the load while a source is plugged in. */
public class PassThroughTest {
  private static Trace trace(double charging, double share, double[] loads) {
    int n = loads.length * 60;
    double[] t = new double[n];
    double[] out = new double[n];
    double[] in = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i;
      out[i] = loads[i / 60];
      in[i] = charging + share * out[i];
    }
    return new Trace(t, Map.of(Channel.AC_POWER, out, Channel.IN_POWER, in));
  }

  @DataProvider
  Object[][] units() {
    return new Object[][] {
      {300.0, 1.0, PassThrough.Feeds.SOURCE},
      {900.0, 0.0, PassThrough.Feeds.INVERTER},
      {300.0, 0.5, PassThrough.Feeds.BOTH}
    };
  }

  @Test(dataProvider = "units")
  public void aChangeOfLoadTells(double charging, double share, PassThrough.Feeds expected) {
    PassThrough p =
        PassThrough.of(trace(charging, share, new double[] {100, 600, 100})).orElseThrow();
    assertEquals(p.feeds(), expected);
    assertEquals(p.share(), share, 0.01);
    assertEquals(p.mostWatts(), 600, 1);
    // Common practice, no published source: a small generator stalls though the inverter could.
    assertEquals(p.words().contains("generator stalls"), expected == PassThrough.Feeds.SOURCE);
  }

  @Test
  public void oneLoadTellsNothing() {
    assertTrue(PassThrough.of(trace(300, 1, new double[] {500})).isEmpty());
    assertTrue(PassThrough.of(trace(0, 0, new double[] {100, 500})).isEmpty());
    assertTrue(PassThrough.of(Trace.empty()).isEmpty());
  }
}
