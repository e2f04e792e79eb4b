package org.wiseember.core.label;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Predicate;
import org.wiseember.core.label.LabelLexer.Mark;
import org.wiseember.core.label.LabelWords.Aspect;
import org.wiseember.core.label.LabelWords.Part;

/**
 * What a figure on a label is about: a table of rules, by unit. For each figure the first rule of
 * its unit that fits counts, the more particular ones standing first; a figure none fits is left
 * alone. A rule reads as a sentence of its unit:
 *
 * <pre>{@code
 * rule(Mark.W, of(Part.SOLAR), Subject.SOLAR_POWER);
 * }</pre>
 */
final class LabelRules {
  private record Rule(
      Mark mark, Predicate<LabelFigure> when, BiConsumer<LabelLine, LabelFigure> then) {}

  private static final LabelRules TABLE = new LabelRules();

  private final List<Rule> rules = new ArrayList<>();

  private LabelRules() {
    watts();
    volts();
    amps();
    percent();
    times();
    others();
  }

  /** Takes a figure by the first rule that fits. */
  static void apply(LabelLine line, LabelFigure figure) {
    TABLE.rules.stream()
        .filter(r -> r.mark() == figure.measure().mark())
        .filter(r -> r.when().test(figure))
        .findFirst()
        .ifPresent(r -> r.then().accept(line, figure));
  }

  private void rule(
      Mark mark, Predicate<LabelFigure> when, BiConsumer<LabelLine, LabelFigure> then) {
    rules.add(new Rule(mark, when, then));
  }

  private void rule(Mark mark, Predicate<LabelFigure> when, Subject subject) {
    rule(mark, when, (l, f) -> l.claim(subject, f.measure(), f.pre()));
  }

  private void nothing(Mark mark, Predicate<LabelFigure> when) {
    rule(mark, when, (l, f) -> {});
  }

  private static Predicate<LabelFigure> of(Part part) {
    return f -> f.of(part);
  }

  private static boolean always(LabelFigure figure) {
    return true;
  }

  private static boolean aspect(LabelFigure f, Aspect aspect) {
    return f.aspect().filter(a -> a == aspect).isPresent();
  }

  private void watts() {
    nothing(Mark.W, f -> LabelWords.lamp(f.line()));
    rule(Mark.W, f -> aspect(f, Aspect.IDLE), Subject.IDLE);
    rule(Mark.W, f -> aspect(f, Aspect.STANDBY), Subject.STANDBY);
    rule(Mark.W, f -> LabelWords.wireless(f.line()), Subject.WIRELESS_POWER);
    rule(
        Mark.W,
        f -> LabelWords.usbBothWays(f.line()),
        (l, f) -> {
          l.claim(Subject.USB_C_POWER, f.measure(), f.pre());
          l.claim(Subject.USB_INPUT, f.measure(), f.pre());
        });
    rule(Mark.W, f -> LabelWords.usbInput(f.line()), Subject.USB_INPUT);
    rule(Mark.W, of(Part.SOLAR), Subject.SOLAR_POWER);
    rule(Mark.W, of(Part.CAR_INPUT), Subject.CAR_POWER);
    rule(Mark.W, of(Part.MAINS_INPUT), Subject.MAINS_POWER);
    rule(Mark.W, of(Part.TOTAL_INPUT), Subject.TOTAL_INPUT);
    rule(Mark.W, of(Part.BATTERY_INPUT), Subject.TOTAL_INPUT);
    rule(Mark.W, of(Part.DC_PORT), Subject.DC_PORT_POWER);
    rule(Mark.W, of(Part.USB_C), Subject.USB_C_POWER);
    rule(Mark.W, of(Part.USB_A), Subject.USB_A_POWER);
    rule(Mark.W, LabelRules::always, LabelLine::acPower);

    rule(Mark.VA, f -> f.part() != null && !f.of(Part.AC_OUTPUT), (l, f) -> {});
    rule(Mark.VA, f -> aspect(f, Aspect.SURGE), Subject.SURGE);
    rule(Mark.VA, f -> aspect(f, Aspect.OVERLOAD), Subject.OVERLOAD);
    rule(Mark.VA, LabelRules::always, Subject.APPARENT_POWER);
  }

  private void volts() {
    rule(
        Mark.V,
        f -> f.measure().sign().equals("±"),
        (l, f) ->
            l.tolerate(f.measure().low() / Math.max(1, l.nominalOf(Subject.OUTPUT_VOLTAGE)) * 100));
    rule(Mark.V, of(Part.SOLAR), (l, f) -> l.window(Subject.SOLAR_VOLTAGE, f.measure()));
    rule(Mark.V, of(Part.CAR_INPUT), (l, f) -> l.nominal(Subject.CAR_VOLTAGE, f.measure()));
    rule(Mark.V, f -> f.of(Part.USB_C) || f.of(Part.USB_A), (l, f) -> l.usbVolts(f.measure()));
    rule(Mark.V, of(Part.DC_PORT), (l, f) -> l.nominal(Subject.DC_PORT_VOLTAGE, f.measure()));
    rule(
        Mark.V,
        f -> f.of(Part.BATTERY_INPUT) && f.measure().most() < 90,
        (l, f) -> l.nominal(Subject.INPUT_VOLTAGE, f.measure()));
    rule(
        Mark.V,
        f -> input(f) && f.measure().most() >= 80,
        (l, f) -> l.nominal(Subject.MAINS_VOLTAGE, f.measure()));
    rule(
        Mark.V,
        LabelRules::input,
        (l, f) -> {
          l.turnsTo(Part.BATTERY_INPUT);
          l.nominal(Subject.INPUT_VOLTAGE, f.measure());
        });
    rule(
        Mark.V,
        f -> f.measure().most() >= 90 || f.measure().alternating() || f.post().startsWith(" ac"),
        (l, f) -> l.band(Subject.OUTPUT_VOLTAGE, f.measure(), LabelReader.VOLTAGE_TOLERANCE));
    rule(
        Mark.V,
        f ->
            f.line().matches(".*(?:to|->|→)\\s*(?:1[0-2]\\d|2[0-4]\\d).*")
                || (f.of(Part.AC_OUTPUT) && f.piece().contains("inverter")),
        (l, f) -> l.nominal(Subject.INPUT_VOLTAGE, f.measure()));
    rule(
        Mark.V,
        f ->
            f.piece().matches(".*\\bdc\\b.*")
                && !f.line().matches(".*(?:ah|wh|batter|pack|cell).*"),
        LabelRules::dcPort);
    rule(
        Mark.V,
        f -> f.line().matches(".*(?:\\d ?m?ah|\\d ?k?wh|batter|pack|cell|nominal).*"),
        Subject.NOMINAL_VOLTAGE);
    rule(
        Mark.V,
        f -> f.line().matches(".*\\d\\s?v\\w*\\s?[/,x@]?\\s?\\d+(?:[.,]\\d+)?\\s?a\\b.*"),
        LabelRules::dcPort);
    rule(Mark.V, LabelRules::always, Subject.NOMINAL_VOLTAGE);
  }

  private static boolean input(LabelFigure f) {
    return f.of(Part.MAINS_INPUT) || f.of(Part.TOTAL_INPUT);
  }

  private static void dcPort(LabelLine line, LabelFigure f) {
    line.turnsTo(Part.DC_PORT);
    line.nominal(Subject.DC_PORT_VOLTAGE, f.measure());
  }

  private void amps() {
    rule(Mark.A, f -> f.says(Aspect.IDLE), Subject.IDLE_CURRENT);
    rule(Mark.A, of(Part.SOLAR), Subject.SOLAR_CURRENT);
    rule(Mark.A, of(Part.CAR_INPUT), Subject.CAR_CURRENT);
    rule(Mark.A, LabelRules::input, Subject.MAINS_CURRENT);
    rule(Mark.A, of(Part.DC_PORT), Subject.DC_PORT_CURRENT);
    rule(Mark.A, of(Part.USB_C), (l, f) -> l.usbPair(Subject.USB_C_POWER, f.measure()));
    rule(Mark.A, of(Part.USB_A), (l, f) -> l.usbPair(Subject.USB_A_POWER, f.measure()));
    rule(Mark.A, of(Part.AC_OUTPUT), Subject.OUTPUT_CURRENT);
    nothing(Mark.A, of(Part.BATTERY_INPUT));
    rule(
        Mark.A,
        LabelRules::always,
        (l, f) ->
            l.claim(
                l.figureOf(Subject.DC_PORT_VOLTAGE).isPresent() || f.piece().contains("12 v")
                    ? Subject.DC_PORT_CURRENT
                    : Subject.OUTPUT_CURRENT,
                f.measure(),
                f.pre()));
  }

  private void percent() {
    rule(
        Mark.PERCENT, f -> f.measure().sign().equals("±"), (l, f) -> l.tolerate(f.measure().low()));
    rule(Mark.PERCENT, f -> f.says(Aspect.DISTORTION), Subject.DISTORTION);
    rule(Mark.PERCENT, f -> LabelWords.tracker(f.line()), Subject.TRACKER_EFFICIENCY);
    rule(Mark.PERCENT, f -> LabelWords.roundTrip(f.line()), Subject.ROUND_TRIP);
    rule(Mark.PERCENT, f -> f.says(Aspect.EFFICIENCY), Subject.EFFICIENCY);
    rule(
        Mark.PERCENT,
        f ->
            f.measure().most() > 100
                && !f.line().contains("protect")
                && (f.lineSays(Aspect.OVERLOAD) || f.lineSays(Aspect.SURGE)),
        (l, f) -> l.share(f, 1));
    rule(
        Mark.PERCENT,
        f -> f.lineSays(Aspect.CYCLES) || f.measure().isRange(),
        (l, f) -> l.reach(f.measure()));
    rule(Mark.PERCENT, f -> f.lineSays(Aspect.DISTORTION), Subject.DISTORTION);
    rule(Mark.PERCENT, f -> f.lineSays(Aspect.EFFICIENCY), Subject.EFFICIENCY);
    rule(Mark.PERCENT, LabelRules::always, (l, f) -> l.reach(f.measure()));
  }

  private void times() {
    rule(
        Mark.TIME,
        f -> f.says(Aspect.SWITCH_OVER) || (f.measure().milli() && f.lineSays(Aspect.SWITCH_OVER)),
        LabelRules::switchOver);
    rule(
        Mark.TIME,
        LabelRules::always,
        (l, f) -> {
          if (l.heldFor(f)) {
            return;
          }
          boolean charging =
              f.lineSays(Aspect.CHARGE_TIME)
                  || input(f)
                  || f.of(Part.SOLAR)
                  || f.of(Part.CAR_INPUT);
          if (f.measure().milli() && !charging) {
            switchOver(l, f);
          } else if (charging || l.toPercentGiven()) {
            l.claim(Subject.CHARGE_TIME, f.measure().scaled(1.0 / 3600), f.pre());
          }
        });
  }

  private static void switchOver(LabelLine line, LabelFigure f) {
    line.claim(Subject.SWITCH_OVER, f.measure().scaled(1000), f.pre());
  }

  private void others() {
    rule(Mark.WH, f -> LabelWords.expandable(f.pre()), Subject.EXPANDABLE);
    rule(Mark.WH, LabelRules::always, Subject.CAPACITY);
    rule(Mark.AH, LabelRules::always, Subject.CHARGE_CAPACITY);
    nothing(Mark.HZ, of(Part.MAINS_INPUT));
    rule(
        Mark.HZ,
        LabelRules::always,
        (l, f) -> l.band(Subject.OUTPUT_FREQUENCY, f.measure(), LabelReader.FREQUENCY_TOLERANCE));
    rule(Mark.KG, LabelRules::always, Subject.WEIGHT);
    rule(Mark.DB, LabelRules::always, Subject.NOISE);
    rule(Mark.CELSIUS, LabelRules::always, (l, f) -> l.temperature(f.measure(), f.piece()));
    rule(
        Mark.C_RATE,
        LabelRules::always,
        (l, f) -> l.attach(Condition.Kind.AT_C_RATE, f.measure().low()));
    rule(
        Mark.METRE,
        LabelRules::always,
        (l, f) ->
            l.addCondition(
                Subject.NOISE, new Condition(Condition.Kind.AT_DISTANCE, f.measure().low())));
    rule(
        Mark.CYCLES,
        f -> f.measure().low() < 10 && f.lineSays(Aspect.SURGE),
        (l, f) -> l.share(f, 100));
    rule(Mark.CYCLES, f -> f.measure().low() >= 10, Subject.CYCLE_LIFE);
    rule(Mark.YEARS, LabelRules::always, Subject.WARRANTY);
    rule(Mark.CELLS, LabelRules::always, Subject.CELLS);
    rule(Mark.OUTLETS, LabelRules::always, Subject.AC_OUTLETS);
    rule(
        Mark.TIMES,
        f -> f.lineSays(Aspect.SURGE) && LabelWords.ofRating(f.line()),
        (l, f) -> l.share(f, 100));
    rule(Mark.TIMES, f -> LabelWords.timesOutlets(f.line()), Subject.AC_OUTLETS);
    bare();
  }

  /** Figures without a unit that their words explain. */
  private void bare() {
    rule(Mark.BARE, f -> f.pre().matches(".*\\bwh\\s*[:=]?\\s*"), Subject.CAPACITY);
    rule(
        Mark.BARE,
        f ->
            f.measure().low() >= 10
                && (LabelWords.has(f.pre(), Aspect.CYCLES)
                    || f.post().matches("\\s?(?:charge |full |deep |battery )?cycles?\\b.*")),
        Subject.CYCLE_LIFE);
    rule(
        Mark.BARE,
        f ->
            f.post().matches("\\s?(?:x )?(?:ac |mains )?(?:outlets?|sockets?).*")
                || f.pre().matches(".*(?:outlets?|sockets?)\\s*:?\\s*"),
        Subject.AC_OUTLETS);
    rule(
        Mark.BARE, f -> f.piece().contains("cells") && f.piece().contains("series"), Subject.CELLS);
    rule(
        Mark.BARE,
        f -> LabelWords.has(f.pre(), Aspect.CONTINUOUS) || LabelWords.has(f.pre(), Aspect.SURGE),
        (l, f) -> l.doubt(f.measure(), "has no unit. Is it W, V or A?"));
  }
}
