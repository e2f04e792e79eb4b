package org.wiseember.trial.kind.heat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.bench.simulated.SideInstrument;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.StoredSettings;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.LiveMoment;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;

/**
 * Loads from light to heavy.
 *
 * @param metres from the unit to the sound meter
 */
public record HeatSettings(List<Double> loads, double metres, double volts, String reason)
    implements TestSettings {
  private static final String METRES = "soundMetres";
  private static final double NEAREST = 0.01;
  private static final double FARTHEST = 100;

  public HeatSettings {
    loads = List.copyOf(loads);
  }

  /** So far from the sound meter, as particulars of a run. */
  static Optional<Map<String, String>> at(String metres) {
    OptionalDouble far = StoredSettings.number(Map.of(METRES, metres), METRES);
    return far.isPresent() && far.getAsDouble() >= NEAREST && far.getAsDouble() <= FARTHEST
        ? Optional.of(Map.of(METRES, Double.toString(far.getAsDouble())))
        : Optional.empty();
  }

  static double metres(Map<String, String> kept) {
    return StoredSettings.number(kept, METRES).orElse(HeatTest.METRES.usual());
  }

  @Override
  public String title() {
    return "Heat and noise up to " + Figures.plain(watts()) + " W";
  }

  @Override
  public Map<String, String> particulars() {
    return Map.of(METRES, Double.toString(metres));
  }

  @Override
  public Procedure procedure() {
    return new HeatNoise(loads);
  }

  @Override
  public ByHand byHand() {
    ByHand.Script script =
        ByHand.of(HeatNoise.KIND, procedure().steps())
            .step("room", "Unit off: write the sound and the warmth of the room")
            .how("Such as: 34 dB, room 21.5\u00a0°C, case 21.8\u00a0°C.")
            .begins(HeatNoise.BACKGROUND, "", "Unit off, the sound of the room")
            .on(OperatorEvent.READ, "load-0");
    for (int i = 0; i < loads.size(); i++) {
      String watts = Figures.plain(loads.get(i), Unit.WATT);
      boolean last = i == loads.size() - 1;
      script
          .nextPart()
          .step("load-" + i, "Load to " + watts)
          .about(loads.get(i))
          .skippable()
          .on(OperatorEvent.LOAD_ON, "read-" + i)
          .step("read-" + i, "Listen and feel at " + watts)
          .how(
              (last ? "Every ten minutes for 50 min or more" : "After four minutes")
                  + ": 42 dB, case 38\u00a0°C, room 22\u00a0°C, fan 2, 61\u00a0°C at the plug.")
          .begins(HeatNoise.LOAD, "", watts)
          .clock("on for")
          .about(loads.get(i));
      script.onward(
          OperatorEvent.READ, "load-" + (i + 1), last, "All loads heard and felt. Load off.");
      script.on(OperatorEvent.TRIPPED, "dropped");
    }
    return script
        .step("dropped", "The output dropped out. All loads off")
        .how("Write the code and how hot it is.")
        .last(OperatorEvent.DONE, "The output dropped out; what was read stays.")
        .build();
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(loads, outletVolts, faults)
        .beside(Set.of(SideInstrument.SOUND_METER, SideInstrument.CAMERA));
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(
        TypedKind.CASE,
        TypedKind.ROOM,
        TypedKind.SPOT,
        TypedKind.FAN,
        TypedKind.SOUND,
        TypedKind.POWER);
  }

  @Override
  public String ends(boolean byHand) {
    return "The room first, then from light to heavy; 50 min at the last load.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(
        LiveTile.SOCKET,
        new LiveTile("Case above room", "K", HeatSettings::aboveRoom),
        new LiveTile(
            "Sound",
            "dB",
            m ->
                new LiveTile.Now(
                    m.read(Channel.SOUND_LEVEL, 1),
                    "at " + Figures.plain(metres, Unit.METRE) + ", room in it")),
        LiveTile.CLOCK);
  }

  private static LiveTile.Now aboveRoom(LiveMoment m) {
    double celsius = m.frame().value(Channel.CASE_TEMPERATURE);
    return new LiveTile.Now(
        Figures.fixed(celsius - m.frame().value(Channel.ROOM_TEMPERATURE), 1),
        Figures.fixed(celsius, 1) + "\u00a0°C");
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(unit.percent(watts() * 0.9), 1.2, Equipment.LOADS, Equipment.AC_METER)
        .attended(0.4)
        .rested();
  }
}
