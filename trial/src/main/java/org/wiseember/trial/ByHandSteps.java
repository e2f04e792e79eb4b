package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.port.UsbTester;

/** What a person is asked for, step by step, in tests that are made by hand. */
final class ByHandSteps {
  private ByHandSteps() {}

  static List<String> usb(UsbTester tester) {
    List<String> asks = new ArrayList<>();
    asks.add("Ask for 5 V, raise the load until the port gives way, type volts and amps");
    if (tester == UsbTester.FAST_CHARGE) {
      asks.add("Ask for 9 V, then 12 V; type volts and amps of each");
    } else if (tester != UsbTester.FIVE_VOLT) {
      asks.add("Ask for 9 V; type volts and amps");
      asks.add("Ask for 15 V; type volts and amps");
      asks.add("Ask for 20 V, raise the load until the port gives way; type volts and amps");
      if (tester == UsbTester.PD_240) {
        asks.add("Ask for 28 V, 36 V, 48 V as far as it goes; type volts and amps");
      }
    }
    return asks;
  }

  static List<DoNow> usbCautions() {
    return List.of(
        new DoNow("Nothing else on the other USB ports", DoNow.When.BEFORE, ""),
        new DoNow("A cable that carries the amps, short", DoNow.When.BEFORE, ""),
        new DoNow(
            "Load free-standing, nothing of yours in line",
            DoNow.When.BEFORE,
            "A trigger set to 20 V kills whatever 5 V device is plugged in behind it."),
        new DoNow("Read volts at the port, not behind the cable", DoNow.When.DURING, ""));
  }

  static List<String> twoLegs() {
    return List.of(
        "Without the 240 V load: type the watts of both legs",
        "240 V load on and steady: type the watts of both legs");
  }

  static List<DoNow> twoLegsCautions() {
    return List.of(
        new DoNow(
            "Joined with the maker's own link, both units off while it is plugged",
            DoNow.When.BEFORE,
            "240 V across two units can kill. Only units their maker joins, only with the maker's"
                + " cable."),
        new DoNow(
            "No building on it",
            DoNow.When.BEFORE,
            "Never feed a building: that needs an interlock or transfer switch, by local code, from"
                + " a licensed electrician."),
        new DoNow("A meter on each leg", DoNow.When.BEFORE, ""),
        new DoNow("Grounding as both makers say", DoNow.When.BEFORE, ""));
  }
}
