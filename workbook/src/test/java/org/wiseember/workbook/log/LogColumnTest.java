package org.wiseember.workbook.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;

/** Headings of a log and the units they name. */
public class LogColumnTest {
  @DataProvider
  Object[][] scales() {
    // Definitions of the prefixes and of the degree Fahrenheit.
    return new Object[][] {
      {"ac_power [W]", Channel.AC_POWER, 598, 598},
      {"ac_power [kW]", Channel.AC_POWER, 0.598, 598},
      {"AC Power (mW)", Channel.AC_POWER, 598_000, 598},
      {"ac-energy [kWh]", Channel.AC_ENERGY, 0.921, 921},
      {"dc_voltage [mV]", Channel.DC_VOLTAGE, 51_200, 51.2},
      {"dc_current [mA]", Channel.DC_CURRENT, 11_700, 11.7},
      {"case_temperature [°F]", Channel.CASE_TEMPERATURE, 112.28, 44.6},
      {"case_temperature [degC]", Channel.CASE_TEMPERATURE, 44.6, 44.6},
      {"room_temperature [F]", Channel.ROOM_TEMPERATURE, 32, 0},
      {"illuminance [klx]", Channel.ILLUMINANCE, 79.8, 79_800},
      {"display_time [h]", Channel.DISPLAY_TIME, 1.4, 84},
      {"display_time [s]", Channel.DISPLAY_TIME, 90, 1.5},
      {"frequency", Channel.FREQUENCY, 50.02, 50.02},
      {"  Display Charge  [ % ] ", Channel.DISPLAY_CHARGE, 38, 38},
    };
  }

  @Test(dataProvider = "scales")
  public void figuresComeIntoTheChannelsUnit(
      String heading, Channel channel, double printed, double value) throws LogUnreadable {
    LogColumn column = LogColumn.of(heading).orElseThrow();
    assertEquals(column.channel(), channel);
    assertEquals(printed * column.factor() + column.offset(), value, 1e-6 * Math.abs(value) + 1e-9);
    assertEquals(column.converted(), Math.abs(printed - value) > 1e-9, heading);
  }

  /** Every unit that is offered for a channel is one its heading may name. */
  @Test
  public void whatIsOfferedIsRead() throws LogUnreadable {
    for (Channel channel : Channel.values()) {
      for (String unit : LogColumn.units(channel)) {
        LogColumn column = LogColumn.of(channel.key() + " [" + unit + "]").orElseThrow();
        assertEquals(column.channel(), channel);
        assertTrue(column.factor() > 0);
      }
      if (!channel.unit().symbol().isEmpty() && !LogColumn.units(channel).isEmpty()) {
        assertEquals(LogColumn.units(channel).get(0), channel.unit().symbol());
      }
    }
  }

  @Test
  public void aUnitThatDoesNotTurnIsOneSentence() {
    LogUnreadable e = expectThrows(LogUnreadable.class, () -> LogColumn.of("ac_power [V]"));
    assertEquals(
        e.getMessage(),
        "column “ac_power [V]” has the unit “V”, which does not turn into W; correct the heading");
  }

  @Test
  public void headingsOfOthersAreNotOurs() throws LogUnreadable {
    assertTrue(LogColumn.of("remarks").isEmpty());
    assertTrue(LogColumn.of("").isEmpty());
    assertTrue(LogColumn.of("]]][[[").isEmpty());
    assertTrue(LogColumn.isTime("Time [s]"));
    assertFalse(LogColumn.isTime("timer"));
    assertEquals(LogColumn.unit("time (ms)"), "ms");
    assertEquals(LogColumn.unit("time"), "");
  }
}
