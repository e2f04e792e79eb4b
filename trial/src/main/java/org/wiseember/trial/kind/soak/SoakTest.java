package org.wiseember.trial.kind.soak;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Label;
import org.wiseember.core.notice.Watcher;
import org.wiseember.core.notice.Watchers;
import org.wiseember.core.port.Looks;
import org.wiseember.core.port.SoakDraw;
import org.wiseember.core.port.SwitchedOff;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;
import org.wiseember.trial.kind.ClaimAnswer;
import org.wiseember.trial.kind.Declaration;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/** A small load left on for a day: does the output stay on? */
public final class SoakTest implements TestType {
  private static final Declaration DECLARED =
      Declaration.of(Watching.KIND, "Soak")
          .in(Group.PORTS)
          .finds(SoakRun.class)
          .being(Trait.RESTS_ON_OTHERS)
          .asks(SoakLoad.ON, SoakLoad.WATTS, SoakLoad.HOURS)
          .how(
              "A small load that must not stop: a cool box, a router. Total, display and room at the start.",
              "Look in the evening and in the morning, and press each time. Between two looks nobody knows.",
              "An output that goes off by itself at low load is the finding; look for the setting that stops it.")
          .school(
              "A day for a fridge, a night for a lamp, a night on empty and a morning of sun for waking up by itself.")
          .build();

  private static final double PORT_VOLTS = 12;

  @Override
  public Declaration declaration() {
    return DECLARED;
  }

  @Override
  public Optional<TestSettings> settings(Label label, OnHand onHand) {
    SoakLoad load = SoakLoad.of(onHand);
    return Optional.of(
        new SoakSettings(
            List.of(load.watts()),
            load,
            load.output() == SoakLoad.Output.AC ? FromLabel.volts(label) : PORT_VOLTS,
            Figures.plain(load.watts(), Unit.WATT)
                + " at the "
                + load.output().words()
                + " for "
                + Figures.plain(load.hours(), Unit.HOUR)
                + ": does the output stay on while little is drawn?"));
  }

  @Override
  public TestSettings kept(RunSettings kept) {
    double watts = kept.loads().stream().findFirst().orElse(0.0);
    return new SoakSettings(kept.loads(), SoakLoad.of(kept.particulars(), watts), kept.volts(), "");
  }

  @Override
  public List<Watcher> watchers(RunSettings settings, Label label) {
    return Watchers.forDrain(
        settings.accuracy(), label.ratedWattHours().orElse(Double.NaN), settings.volts());
  }

  @Override
  public TestRun worked(RunRecord record, Inquiry asked) {
    Optional<Figure> draw = draw(record, asked);
    OptionalDouble room = room(record.treated());
    List<String> recovery =
        record.pressed().stream().flatMap(p -> recovery(p.press()).stream()).toList();
    if (record.byHand()) {
      Looks looks = Looks.of(record.treated(), record.pressed());
      return new SoakRun(
          record.kept(),
          looks.off(record.treated()),
          looks.on(),
          looks.onFor(),
          draw,
          ofShown(record, asked, draw),
          room,
          recovery);
    }
    int read = record.trace().series(Channel.AC_VOLTAGE).size();
    return new SoakRun(
        record.kept(),
        SwitchedOff.in(record.treated()),
        read,
        record.trace().span(),
        draw,
        ofShown(record, asked, draw),
        room,
        recovery);
  }

  /** By a total, else by the watts, else by what the display lost of what the unit holds. */
  private static Optional<Figure> draw(RunRecord record, Inquiry asked) {
    boolean ac = record.treated().series(Channel.DC_ENERGY).size() == 0;
    Channel total = ac ? Channel.AC_ENERGY : Channel.DC_ENERGY;
    double step = record.typedSteps().getOrDefault(total, 0.0);
    Series watts = record.treated().series(Channel.AC_POWER);
    Series direct = record.treated().series(Channel.DC_POWER);
    Series product = record.treated().product(Channel.DC_VOLTAGE, Channel.DC_CURRENT);
    Series best = watts.size() > 0 ? watts : direct.size() > 0 ? direct : product;
    Channel meter = watts.size() > 0 ? Channel.AC_POWER : Channel.DC_POWER;
    return SoakDraw.byTotal(record.treated(), total, record.meterOrAssumed(total), step)
        .or(() -> SoakDraw.byReadings(best, record.meterOrAssumed(meter)))
        .or(() -> byDisplay(record, asked));
  }

  /** Only of a draw that a meter told: by the display it would be held against itself. */
  private static Optional<Figure> ofShown(RunRecord record, Inquiry asked, Optional<Figure> draw) {
    Series shown = record.treated().series(Channel.DISPLAY_CHARGE);
    int last = shown.size() - 1;
    boolean metered =
        draw.isPresent() && byDisplay(record, asked).filter(draw.get()::equals).isEmpty();
    return metered && last > 0
        ? SoakDraw.ofShown(
            draw.get(),
            shown.value(0),
            shown.value(last),
            (shown.seconds(last) - shown.seconds(0)) / 3600,
            asked.ratedWattHours())
        : Optional.empty();
  }

  private static Optional<Figure> byDisplay(RunRecord record, Inquiry asked) {
    Series shown = record.treated().series(Channel.DISPLAY_CHARGE);
    int last = shown.size() - 1;
    boolean ac =
        SoakLoad.of(record.run().settings().particulars(), 0).output() == SoakLoad.Output.AC;
    Optional<Figure> usable = ac ? asked.usableAc() : asked.usableDc();
    if (last < 1 || usable.isEmpty()) {
      return Optional.empty();
    }
    return SoakDraw.byDisplay(
        shown.value(0),
        shown.value(last),
        (shown.seconds(last) - shown.seconds(0)) / 3600,
        usable.get());
  }

  private static OptionalDouble room(Trace trace) {
    Series room = trace.series(Channel.ROOM_TEMPERATURE);
    return IntStream.range(0, room.size()).mapToDouble(room::value).average();
  }

  private static Optional<String> recovery(OperatorEvent press) {
    return switch (press) {
      case CAME_BACK -> Optional.of("It came back by itself.");
      case CAME_BY_BUTTON -> Optional.of("Its button brought it back.");
      case LATCHED -> Optional.of("It stayed off: neither time nor its button brought it back.");
      default -> Optional.empty();
    };
  }

  @Override
  public Optional<ClaimAnswer> answer(Claim claim, UnitFindings unit) {
    return Optional.empty();
  }
}
