package org.wiseember.trial.kind.usb;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.port.CableOhms;
import org.wiseember.core.port.SharedPorts;
import org.wiseember.core.port.UsbPort;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.HandPart;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunOption;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;

/** A USB port asked for its profiles. */
public final class UsbTest implements TestType {
  static final Ask.OneOf<UsbUse> USE =
      new Ask.OneOf<>("usb-use", "Asked of", List.of(UsbUse.values()), UsbUse.PORT, UsbUse::words);

  static final Ask.OneOf<UsbTester> TESTER =
      new Ask.OneOf<>(
          "usb-tester",
          "Asked with",
          List.of(UsbTester.values()),
          UsbTester.FIVE_VOLT,
          UsbTester::words);

  private static final Declaration DECLARED =
      Declaration.of(ByHand.USB, "USB")
          .in(Group.PORTS)
          .finds(UsbRun.class)
          .answers(Subject.USB_C_POWER, Subject.USB_A_POWER)
          .being(Trait.BY_HAND_ONLY, Trait.NOT_IN_LOGS)
          .watts("DC power")
          .asks(USE, TESTER)
          .options(new RunOption("tester", "5v or pd", UsbSettings::with))
          .how(
              "A USB tester between port and load. Raise the load until the port gives way; write volts and amps.",
              "Above 5 V the tester must ask for it: without a PD trigger 100 W cannot be shown.",
              "Read the volts at the port: a long cable takes its share.")
          .after("USB Power Delivery")
          .cannotByHand("It takes a USB tester that shows volts and amps.")
          .build();

  /** Two readings at currents this near belong together, as a share; own choice. */
  private static final double SAME_AMPS = 0.05;

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    UsbTester tester = onHand.answer(TESTER);
    return Optional.of(
        new UsbSettings(
            tester,
            onHand.answer(USE),
            "With a "
                + tester.words()
                + ", which can show up to "
                + Figures.plain(tester.mostWatts(), Unit.WATT)
                + " of any port."));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    return new UsbSettings(
        UsbSettings.tester(kept.particulars()), UsbSettings.use(kept.particulars()), "");
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    Series volts = record.treated().series(Channel.DC_VOLTAGE);
    double most = 0;
    for (int i = 0; i < volts.size(); i++) {
      most = Math.max(most, volts.value(i));
    }
    UsbUse use = UsbSettings.use(record.run().settings().particulars());
    List<HandPart> parts = HandPart.of(record, OperatorEvent.READ);
    return new UsbRun(
        record.kept(),
        UsbPort.of(
            record.treated(),
            UsbSettings.tester(record.run().settings().particulars(), most),
            record.meter(Channel.DC_VOLTAGE),
            record.meter(Channel.DC_CURRENT)),
        use == UsbUse.TOGETHER ? together(record, parts) : Optional.empty(),
        use == UsbUse.CABLE ? cable(record, parts) : Optional.empty(),
        droppedOut(record));
  }

  private static Optional<Figure> together(RunRecord record, List<HandPart> parts) {
    List<Figure> alone = new ArrayList<>();
    List<Figure> both = new ArrayList<>();
    for (HandPart part : parts) {
      String port = part.at() % 2 == 1 ? "First port" : "Second port";
      boolean together = part.at() > 2;
      watts(record, part, port + (together ? ", together" : ", alone"))
          .ifPresent((together ? both : alone)::add);
    }
    return alone.size() == 2 && both.size() == 2
        ? Optional.of(SharedPorts.share(alone, both))
        : Optional.empty();
  }

  private static Optional<Figure> watts(RunRecord record, HandPart part, String name) {
    return part.watts(
        Channel.DC_VOLTAGE, Channel.DC_CURRENT, record, "port_watts_" + part.at(), name);
  }

  private static Optional<Figure> cable(RunRecord record, List<HandPart> parts) {
    Optional<HandPart> port = parts.stream().filter(p -> p.at() == 1).findFirst();
    Optional<HandPart> behind = parts.stream().filter(p -> p.at() == 2).findFirst();
    if (port.isEmpty() || behind.isEmpty()) {
      return Optional.empty();
    }
    Optional<StoredReading> before = port.get().last(Channel.DC_VOLTAGE);
    Optional<StoredReading> after = behind.get().last(Channel.DC_VOLTAGE);
    OptionalDouble amps = behind.get().mean(Channel.DC_CURRENT);
    OptionalDouble atPort = port.get().mean(Channel.DC_CURRENT);
    // At another current the two volts do not belong together.
    boolean alike =
        amps.isPresent()
            && atPort.isPresent()
            && Math.abs(amps.getAsDouble() - atPort.getAsDouble())
                <= SAME_AMPS * atPort.getAsDouble();
    return before.isPresent() && after.isPresent() && alike
        ? CableOhms.of(
            before.get().value(),
            after.get().value(),
            amps.getAsDouble(),
            Math.max(before.get().resolution(), after.get().resolution()),
            record.meterOrAssumed(Channel.DC_VOLTAGE),
            record.meterOrAssumed(Channel.DC_CURRENT))
        : Optional.empty();
  }

  /** The last watts that were read before the port went off. */
  private static Optional<Figure> droppedOut(RunRecord record) {
    return HandPart.of(record, OperatorEvent.WENT_OFF).stream()
        .flatMap(p -> watts(record, p, "Carried last before it went off").stream())
        .map(f -> f.as("usb_drop_out", f.name()).bounded(Bound.AT_LEAST))
        .reduce((a, b) -> b);
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return unit.of(UsbRun.class)
        .filter(r -> r.port().contract().isPresent())
        .filter(r -> UsbSettings.use(r.run().settings().particulars()) == UsbUse.PORT)
        .max(Comparator.comparingDouble(r -> r.port().contract().orElseThrow().value()))
        .map(r -> answer(claim, r));
  }

  private static ClaimAnswer answer(Claim claim, UsbRun run) {
    String title = claim.subject().words();
    UsbTester tester = run.port().tester();
    if (run.port().rigStops(claim.figure())) {
      return ClaimAnswer.rigCannotShow(
          title,
          claim,
          run,
          run.port().most().orElseThrow().bounded(Bound.AT_LEAST),
          "A "
              + tester.words()
              + " asks for "
              + Figures.plain(tester.mostWatts(), Unit.WATT)
              + " at most. Needed: "
              + UsbTester.needed(claim.figure())
              + ".");
    }
    return ClaimAnswer.of(title, claim, run, run.port().contract().orElseThrow());
  }
}
