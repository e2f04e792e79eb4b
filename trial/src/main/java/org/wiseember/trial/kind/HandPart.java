package org.wiseember.trial.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.AssumedMeter;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.workbook.StoredReading;

/**
 * What was read in one part of a test by hand that goes through several things: from the press
 * before it to the press that ended it.
 *
 * @param at which thing, as the step was about it
 * @param ended the press that ended it
 * @param from s on the run's clock
 * @param to s on the run's clock
 * @param typed in order of time
 */
public record HandPart(
    int at, OperatorEvent ended, double from, double to, List<StoredReading> typed) {
  public HandPart {
    typed = List.copyOf(typed);
  }

  /**
   * The parts of a run, in the order they were gone through.
   *
   * @param ends the presses that end a part; they say what it was about
   */
  public static List<HandPart> of(RunRecord record, OperatorEvent... ends) {
    return of(record, Set.of(), ends);
  }

  /**
   * The parts of a run where some presses only lead on: what was written before such a press
   * belongs to the same part.
   *
   * @param leadingOn presses that begin no part of their own
   * @param ends the presses that end a part; they say what it was about
   */
  public static List<HandPart> of(
      RunRecord record, Set<OperatorEvent> leadingOn, OperatorEvent... ends) {
    List<HandPart> parts = new ArrayList<>();
    double from = Double.NEGATIVE_INFINITY;
    for (TimedOperatorEvent p : record.pressed()) {
      if (p.is(ends) && !Double.isNaN(p.subject())) {
        double begun = from;
        parts.add(
            new HandPart(
                (int) Math.rint(p.subject()),
                p.press(),
                begun,
                p.seconds(),
                record.typed().stream()
                    .filter(r -> r.seconds() >= begun && r.seconds() <= p.seconds())
                    .toList()));
      }
      if (!leadingOn.contains(p.press())) {
        from = p.seconds();
      }
    }
    return parts;
  }

  /** All that was read in a run, for what is told apart by what it is and not by when. */
  public static HandPart whole(RunRecord record) {
    return new HandPart(
        0, OperatorEvent.DONE, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, record.typed());
  }

  /** Its readings of a channel. */
  public List<StoredReading> readings(Channel channel) {
    return typed.stream().filter(r -> r.channel() == channel).toList();
  }

  /** The mean of what was read of a channel; empty for not read. */
  public OptionalDouble mean(Channel channel) {
    return readings(channel).stream().mapToDouble(StoredReading::value).average();
  }

  /** The last of what was read of a channel; empty for not read. */
  public Optional<StoredReading> last(Channel channel) {
    List<StoredReading> all = readings(channel);
    return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
  }

  /**
   * Volts times amps of this part as a figure.
   *
   * @param key of the figure
   * @param name of the figure
   */
  public Optional<Figure> watts(
      Channel volts, Channel amps, RunRecord record, String key, String name) {
    Optional<Figure> v = figure(volts, record, key + "_volts", name + ", volts");
    Optional<Figure> a = figure(amps, record, key + "_amps", name + ", amps");
    if (v.isEmpty() || a.isEmpty()) {
      return Optional.empty();
    }
    double watts = v.get().value() * a.get().value();
    Budget budget =
        v.get().budget().scaled(a.get().value()).with(a.get().budget().scaled(v.get().value()));
    return Optional.of(
        Figure.of(
            key,
            name,
            watts,
            Unit.WATT,
            Because.of(
                    budget,
                    Figures.plain(v.get().value(), Unit.VOLT)
                        + " × "
                        + Figures.plain(a.get().value(), Unit.AMPERE)
                        + " = "
                        + Figures.withUnit(Figures.fixed(watts, 1), Unit.WATT))
                .from(v.get(), a.get())
                .summed(name)));
  }

  /**
   * The mean of a channel as a figure: the meter, the step it was read in, and how far the readings
   * lie apart.
   *
   * @param key of the figure
   * @param name of the figure
   */
  public Optional<Figure> figure(Channel channel, RunRecord record, String key, String name) {
    List<StoredReading> all = readings(channel);
    if (all.isEmpty()) {
      return Optional.empty();
    }
    double mean = mean(channel).orElseThrow();
    Unit unit = channel.unit();
    boolean assumed = record.meter(channel).isEmpty();
    MeterClass meter = record.meter(channel).orElseGet(() -> AssumedMeter.of(unit));
    Budget budget =
        Budget.of().with(AssumedMeter.named(all.get(0).meter(), assumed), meter, mean, 1);
    double step = all.stream().mapToDouble(StoredReading::resolution).max().orElse(0);
    budget = budget.with(Contribution.rectangular("Read to the last digit", step / 2));
    double low = all.stream().mapToDouble(StoredReading::value).min().orElseThrow();
    double high = all.stream().mapToDouble(StoredReading::value).max().orElseThrow();
    if (high > low) {
      budget =
          budget.with(
              Contribution.rectangular("Between lowest and highest reading", (high - low) / 2));
    }
    List<String> worked =
        all.size() == 1
            ? List.of(all.get(0).asTyped() + " read once")
            : List.of(
                "mean of "
                    + String.join(", ", all.stream().map(StoredReading::asTyped).toList())
                    + " = "
                    + Figures.withUnit(Figures.fixed(mean, Figures.decimalsFor(step)), unit));
    return Optional.of(Figure.of(key, name, mean, unit, Because.of(budget, worked).summed(name)));
  }
}
