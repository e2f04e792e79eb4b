package org.wiseember.trial.kind.usb;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.HandOnlySettings;
import org.wiseember.trial.kind.StoredSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/**
 * What USB is asked, and with what.
 *
 * @param use one port, two together, or a cable
 */
public record UsbSettings(UsbTester tester, UsbUse use, String reason) implements HandOnlySettings {
  private static final String TESTER = "usbTester";
  private static final String USE = "usbUse";
  private static final double NO_FIVE_VOLTS = 6;

  static UsbTester tester(Map<String, String> kept) {
    return StoredSettings.choice(UsbTester.values(), kept, TESTER, UsbTester.FIVE_VOLT);
  }

  /**
   * The tester of a run; where nobody kept it, the least one that could have read so many volts.
   */
  static UsbTester tester(Map<String, String> kept, double mostVolts) {
    return kept.containsKey(TESTER)
        ? tester(kept)
        : mostVolts > NO_FIVE_VOLTS ? UsbTester.PD_100 : UsbTester.FIVE_VOLT;
  }

  /** A tester, as particulars of a run. */
  static Optional<Map<String, String>> with(String tester) {
    return switch (tester) {
      case "5v" -> Optional.of(Map.of(TESTER, UsbTester.FIVE_VOLT.name()));
      case "pd" -> Optional.of(Map.of(TESTER, UsbTester.PD_100.name()));
      default -> Optional.empty();
    };
  }

  @Override
  public String title() {
    return use == UsbUse.PORT ? "USB" : "USB, " + use.words().toLowerCase(Locale.ROOT);
  }

  static UsbUse use(Map<String, String> kept) {
    return StoredSettings.choice(UsbUse.values(), kept, USE, UsbUse.PORT);
  }

  @Override
  public double volts() {
    return 5;
  }

  @Override
  public Map<String, String> particulars() {
    return Map.of(TESTER, tester.name(), USE, use.name());
  }

  @Override
  public ByHand byHand() {
    List<String> asks = asks();
    ByHand.Script script = ByHand.of(ByHand.USB, cautions());
    for (int i = 0; i < asks.size(); i++) {
      script
          .step("ask-" + i, asks.get(i))
          .how("In one line, such as: 5.02 V, 2.96 A. Write what gave way and how it came back.")
          .about(i + 1)
          .skippable();
      boolean last = i == asks.size() - 1;
      script.onward(
          OperatorEvent.READ,
          "ask-" + (i + 1),
          last,
          "All of it asked for, " + asks.size() + " steps.");
      script.on(OperatorEvent.WENT_OFF, "ask-" + i).nextPart();
    }
    return script.build();
  }

  private List<String> asks() {
    return switch (use) {
      case PORT -> portAsks();
      case TOGETHER ->
          List.of(
              "First port alone: load it as it may, type volts and amps",
              "Second port alone: the same",
              "Both at once, the same loads: type volts and amps of the first",
              "Still both: volts and amps of the second");
      case CABLE ->
          List.of(
              "Tester at the port, load behind it: type volts and amps",
              "The same tester behind the cable, at the same amps: type volts and amps");
    };
  }

  private List<String> portAsks() {
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

  private List<DoNow> cautions() {
    return List.of(
        new DoNow(
            use == UsbUse.TOGETHER
                ? "Two loads that can be set alike"
                : "Nothing else on the other USB ports",
            DoNow.When.BEFORE,
            ""),
        new DoNow("A cable that carries the amps, short", DoNow.When.BEFORE, ""),
        new DoNow(
            "Load free-standing, nothing of yours in line",
            DoNow.When.BEFORE,
            "A trigger set to 20 V kills whatever 5 V device is plugged in behind it."),
        new DoNow("Read volts at the port, not behind the cable", DoNow.When.DURING, ""));
  }

  @Override
  public List<RigCable> leads(Label label) {
    return List.of();
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.DC_VOLTS, TypedKind.DC_AMPS);
  }

  @Override
  public String ends(boolean byHand) {
    return "Do what is asked, type what you read, then go on.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(LiveTile.PORT, LiveTile.PORT_AMPS, LiveTile.PORT_VOLTS, LiveTile.CLOCK);
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(3, 0.5, Equipment.USB_TESTER);
  }
}
