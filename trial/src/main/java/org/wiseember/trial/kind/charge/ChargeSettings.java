package org.wiseember.trial.kind.charge;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.SideInstrument;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Port;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.wiring.Connector;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Leads;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.trial.onhand.ChargeSetting;

/**
 * From empty until it takes no more.
 *
 * @param setting what it is charged from
 */
public record ChargeSettings(ChargeSetting setting, double volts, String reason)
    implements TestSettings {
  /** Where its management stopped the drain. */
  private static final double EMPTY = 0.02;

  /** Panels give more than their sheet in cold, bright air: NEC 690.8, recalled from memory. */
  private static final double BRIGHT = 1.25;

  private static final double CAR_METRES = 2;
  private static final double PANEL_METRES = 5;
  private static final double CAR_AMPS = 10;
  private static final double CAR_VOLTS = 12;
  private static final double MAINS_WATTS = 1000;

  /** Of their plates panels bring about so much over a day of trying. */
  private static final double OF_PLATE = 0.6;

  private static final double BESIDE_WATTS = 200;

  /** What goes in over what comes out again. */
  private static final double BOTH_WAYS = 1.2;

  private static final double SECOND_BATTERY_VOLTS = 20;
  private static final double USB_VOLTS = 20;
  private static final double USB_AMPS = 5;

  static ChargeSettings of(ChargeSetting setting, double volts) {
    boolean several = setting.sources().size() > 1;
    boolean sun = setting.sources().contains(ChargeSource.SOLAR);
    return new ChargeSettings(
        setting,
        volts,
        "From empty until it takes no more, from "
            + setting.words()
            + (several ? ": each alone for five minutes, then all together" : "")
            + (sun ? "; panels: " + setting.panels().orElseThrow().words() : "")
            + ".");
  }

  @Override
  public String title() {
    return "Charge from " + setting.words();
  }

  @Override
  public List<Double> loads() {
    return List.of();
  }

  @Override
  public Map<String, String> particulars() {
    return setting.particulars();
  }

  @Override
  public Procedure procedure() {
    return new Charge(setting.sources());
  }

  @Override
  public ByHand byHand() {
    return ByHand.of(Charge.KIND, procedure().steps())
        .step("ready", "Nothing plugged in: write display and case")
        .how(
            "Such as: 0 %, case 23\u00a0°C. It may begin anywhere; only from empty do its times count."
                + " A unit that is set to charge slowly is said so before the start.")
        .on(OperatorEvent.DONE, "in")
        .nextPart()
        .step("in", "Plug in: " + setting.plugged())
        .how("Press at the moment it goes in.")
        .on(OperatorEvent.LOAD_ON, "charge")
        .nextPart()
        .step("charge", "It charges. Look in now and then")
        .how(
            "Write the watts in, the charge shown and its time to full; more often near the end, and"
                + " when its fan starts or stops: 112 W, fan on. Press when it takes no more.")
        .clock("charging for")
        .on(OperatorEvent.FULL, "full")
        .on(OperatorEvent.REFUSES, "refused")
        .on(OperatorEvent.TAKEN_OFF, "early")
        .nextPart()
        .step("full", "Full. Write the last watts and the display")
        .how("Then all sources out.")
        .last(OperatorEvent.DONE, "Full, seen by hand. All sources out.")
        .step("refused", "It takes nothing. Write what it shows")
        .how("Volts of the source, the display, a code. Then the source out.")
        .last(OperatorEvent.DONE, "It refused to charge.")
        .step("early", "Write the display")
        .how("The charge is not whole.")
        .broken(OperatorEvent.DONE, "The source was taken out before it was full.")
        .build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    Set<SideInstrument> beside = EnumSet.of(SideInstrument.TIME_TO_FULL);
    for (ChargeSource source : setting.sources()) {
      beside.add(
          switch (source.inlet()) {
            case DC -> SideInstrument.INPUT_METER;
            case USB_C -> SideInstrument.USB_METER;
            default -> SideInstrument.WALL_METER;
          });
    }
    if (setting.sources().contains(ChargeSource.SOLAR)) {
      beside.add(SideInstrument.LUX_METER);
    }
    return SimulatedRig.BARE.beside(beside).charged(EMPTY).fed(SimulatedSources.of(setting, seed));
  }

  @Override
  public List<RigCable> leads(Label label) {
    return EnumSet.copyOf(setting.sources()).stream()
        .flatMap(source -> lead(source, label).stream())
        .toList();
  }

  private Optional<RigCable> lead(ChargeSource source, Label label) {
    return switch (source) {
      case WALL, GENERATOR ->
          Optional.of(
              Leads.cable(
                  RigCable.Part.INTO_UNIT,
                  "wall to charger",
                  label.claim(Subject.MAINS_POWER).map(Claim::figure).orElse(MAINS_WATTS)
                      / (Leads.SAG * FromLabel.volts(label)),
                  Leads.LOAD_METRES,
                  Leads.SAG * FromLabel.volts(label),
                  Connector.MAINS_PLUG));
      case CAR ->
          Optional.of(
              Leads.cable(
                  RigCable.Part.INTO_UNIT,
                  "car socket to unit",
                  CAR_AMPS,
                  CAR_METRES,
                  CAR_VOLTS,
                  Connector.CAR_PLUG));
      case BATTERY, SUPPLY ->
          Optional.of(
              Leads.cable(
                  RigCable.Part.INTO_UNIT,
                  source == ChargeSource.SUPPLY ? "bench supply to unit" : "second battery to unit",
                  LabelInputs.port(label).map(Port::amps).filter(Double::isFinite).orElse(CAR_AMPS),
                  Leads.LOAD_METRES,
                  SECOND_BATTERY_VOLTS,
                  Connector.BATTERY_PLUG));
      case SOLAR -> setting.panels().map(ChargeSettings::panels);
      case USB_C, TWO_USB_C ->
          Optional.of(
              Leads.cable(
                  RigCable.Part.INTO_UNIT,
                  "USB-C charger to unit",
                  Math.min(USB_AMPS, setting.usbWatts() / USB_VOLTS),
                  Leads.PORT_METRES,
                  USB_VOLTS,
                  Connector.USB_C));
    };
  }

  private static RigCable panels(Arrangement a) {
    return Leads.cable(
        RigCable.Part.INTO_UNIT,
        "panels to unit",
        BRIGHT * a.parallel() * a.panel().shortAmps(),
        PANEL_METRES,
        a.series() * a.panel().peakVolts(),
        Connector.SOLAR_PLUG);
  }

  /** A field for each meter on an input, and what the display says. */
  @Override
  public List<TypedKind> typed() {
    List<TypedKind> kinds = new ArrayList<>();
    boolean alone = setting.sources().size() == 1 && setting.through(Inlet.WALL);
    for (ChargeSource source : EnumSet.copyOf(setting.sources())) {
      switch (source.inlet()) {
        case DC -> kinds.addAll(List.of(TypedKind.IN_VOLTS, TypedKind.IN_AMPS));
        case USB_C -> kinds.add(TypedKind.USB_POWER);
        default -> kinds.add(alone ? TypedKind.IN_POWER : TypedKind.WALL_POWER);
      }
    }
    if (setting.sources().contains(ChargeSource.SOLAR)) {
      kinds.add(TypedKind.LIGHT);
    }
    kinds.addAll(List.of(TypedKind.DISPLAY, TypedKind.TIME_TO_FULL, TypedKind.CASE));
    return kinds;
  }

  @Override
  public String ends(boolean byHand) {
    return byHand
        ? "Say so once it is full, or that it takes nothing."
        : "Ends by itself once it takes no more.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(
        new LiveTile(
            "Into the unit",
            "W",
            m -> new LiveTile.Now(Figures.fixed(m.view().watts(), 0), "from " + setting.words())),
        new LiveTile(
            "Case", "°C", m -> m.reading(Channel.CASE_TEMPERATURE, 1, "a hot one charges slower")),
        new LiveTile(
            "Display says", "%", m -> m.reading(Channel.DISPLAY_CHARGE, 0, "by the unit itself")),
        LiveTile.CLOCK);
  }

  @Override
  public Needs needs(UnitTimes unit) {
    Equipment[] things =
        setting.sources().stream()
            .flatMap(s -> things(s).stream())
            .distinct()
            .toArray(Equipment[]::new);
    return Needs.filling(hours(unit), things);
  }

  /** What fills it an hour adds up over the sources. */
  private double hours(UnitTimes unit) {
    boolean wall = setting.sources().stream().anyMatch(s -> s.inlet() == Inlet.WALL);
    double watts = setting.sources().stream().mapToDouble(this::supposedWatts).sum();
    return 1 / ((wall ? 1 / unit.fillHours() : 0) + watts / (BOTH_WAYS * unit.wattHours()));
  }

  /** What a source beside the wall usually brings, W; common practice, no published source. */
  private double supposedWatts(ChargeSource source) {
    return switch (source) {
      case CAR -> CAR_AMPS * CAR_VOLTS;
      case SOLAR ->
          setting.panels().map(p -> OF_PLATE * p.panels() * p.panel().watts()).orElse(100.0);
      case BATTERY, SUPPLY -> BESIDE_WATTS;
      case USB_C -> setting.usbWatts();
      case TWO_USB_C -> 2 * setting.usbWatts();
      case WALL, GENERATOR -> 0;
    };
  }

  private static List<Equipment> things(ChargeSource source) {
    return switch (source) {
      case WALL, GENERATOR -> List.of(Equipment.MAINS, Equipment.AC_METER);
      case SOLAR -> List.of(Equipment.PANELS, Equipment.DC_METER);
      case CAR, BATTERY, SUPPLY -> List.of(Equipment.SUPPLY, Equipment.DC_METER);
      case USB_C, TWO_USB_C -> List.of(Equipment.USB_TESTER);
    };
  }
}
