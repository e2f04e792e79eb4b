package org.wiseember.core.solar.tried;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiPredicate;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * Arrangements tried one after the other on a port, two compared at like light: watts for each lux,
 * so that a cloud is not taken for a better arrangement. Without light read nothing is compared.
 *
 * @param tried in the order they were tried
 * @param figures what comparing them gave, the most telling first
 * @param words what is to be said of it, a sentence each
 */
public record SolarTrial(List<Tried> tried, List<Figure> figures, List<String> words) {
  /**
   * How well one light meter at one place tells one light from another, ± % of reading: its scale
   * is in both readings alike and falls out. Common practice, no published source.
   */
  private static final double SAME_METER_PERCENT = 2;

  /** A port whose current is within this of what it takes elsewhere is at its limit; own choice. */
  private static final double AT_LIMIT = 0.03;

  /** Panels of so much more plate must give more, if nothing holds them back; own choice. */
  private static final double CLEARLY_MORE = 1.3;

  public SolarTrial {
    tried = List.copyOf(tried);
    figures = List.copyOf(figures);
    words = List.copyOf(words);
  }

  /**
   * Compares what was tried.
   *
   * @param ammeter of the amps into the port
   */
  public static SolarTrial of(List<Tried> tried, MeterClass ammeter) {
    Comparing all = new Comparing(tried, ammeter);
    all.converters();
    all.otherUnits();
    all.supplies();
    all.jointPorts();
    all.morePanels();
    all.shade();
    all.limitOfAmps();
    all.missing();
    return new SolarTrial(tried, all.figures, all.words);
  }

  /** The most that went into the unit under test; at least so much it can take. */
  public Optional<Figure> most() {
    return tried.stream()
        .filter(t -> t.setup().into() != TriedSetup.Into.OTHER_UNIT)
        .flatMap(t -> t.power().stream())
        .max(Comparator.comparingDouble(Figure::value))
        .map(f -> f.as("solar_power", "Most into the port").bounded(Bound.AT_LEAST));
  }

  /** What the port took from a bench supply that had more to give. */
  public Optional<Figure> portAmps() {
    return figures.stream().filter(f -> f.key().startsWith("port_amps")).findFirst();
  }

  /** The comparisons while they are made. */
  private static final class Comparing {
    private final List<Tried> tried;
    private final MeterClass ammeter;
    private final List<Figure> figures = new ArrayList<>();
    private final List<String> words = new ArrayList<>();

    Comparing(List<Tried> tried, MeterClass ammeter) {
      this.tried = tried;
      this.ammeter = ammeter;
    }

    private static boolean alike(TriedSetup a, TriedSetup b) {
      return a.into() == b.into() && a.port() == b.port() && a.converter() == b.converter();
    }

    /** For each that is the changed one, the nearest other it may be held against. */
    private List<Tried[]> pairs(BiPredicate<TriedSetup, TriedSetup> plainAndChanged) {
      List<Tried[]> pairs = new ArrayList<>();
      for (Tried changed : tried) {
        tried.stream()
            .filter(t -> t.at() != changed.at() && plainAndChanged.test(t.setup(), changed.setup()))
            .filter(t -> t.comparable() && changed.comparable())
            .min(Comparator.comparingInt(t -> Math.abs(t.at() - changed.at())))
            .ifPresent(plain -> pairs.add(new Tried[] {plain, changed}));
      }
      return pairs;
    }

    /** Watts for each lux of the second over those of the first. */
    private static Because ratio(Tried plain, Tried changed, double factor) {
      Figure before = plain.power().orElseThrow();
      Figure after = changed.power().orElseThrow();
      double ratio = ratioOf(plain, changed) * factor;
      Budget budget =
          Budget.of(
                  Contribution.rectangular(
                      "Light of the first, the same meter ± 2 %",
                      Math.abs(ratio) * SAME_METER_PERCENT / 100),
                  Contribution.rectangular(
                      "Light of the second, the same meter ± 2 %",
                      Math.abs(ratio) * SAME_METER_PERCENT / 100))
              .with(before.budget().called("First").scaled(-ratio / before.value()))
              .with(after.budget().called("Second").scaled(ratio / after.value()));
      return Because.of(
              budget,
              side(before, plain) + ",",
              side(after, changed) + ":",
              "at like light " + Figures.fixed(ratioOf(plain, changed), 3) + " times as much")
          .from(before, after);
    }

    private static String side(Figure watts, Tried tried) {
      return Figures.plain(watts.value(), Unit.WATT)
          + " at "
          + Figures.plain(tried.lux().orElseThrow(), Unit.LUX)
          + " ("
          + tried.setup().words()
          + ")";
    }

    private static double ratioOf(Tried plain, Tried changed) {
      return changed.power().orElseThrow().value()
          / changed.lux().orElseThrow()
          / (plain.power().orElseThrow().value() / plain.lux().orElseThrow());
    }

    private Figure percent(
        String key, String name, Tried plain, Tried changed, double factor, double less) {
      double value = ratioOf(plain, changed) * 100 * factor - less;
      Because because =
          ratio(plain, changed, 100 * factor)
              .summed(changed.setup().words() + " against " + plain.setup().words());
      Figure figure = Figure.of(key + "_" + changed.at(), name, value, Unit.PERCENT, because);
      figures.add(figure);
      return figure;
    }

    void converters() {
      for (Tried[] pair :
          pairs(
              (a, b) ->
                  a.samePanels(b)
                      && a.into() == b.into()
                      && a.port() == b.port()
                      && !a.converter()
                      && b.converter())) {
        percent("converter_gain", "Gained by the converter", pair[0], pair[1], 1, 100);
      }
    }

    void otherUnits() {
      for (Tried[] pair :
          pairs(
              (a, b) ->
                  a.samePanels(b)
                      && a.converter() == b.converter()
                      && a.into() == TriedSetup.Into.THIS_UNIT
                      && b.into() == TriedSetup.Into.OTHER_UNIT)) {
        Figure more = percent("other_unit", "Into another unit", pair[0], pair[1], 1, 0);
        String panels = pair[0].setup().words();
        words.add(
            more.low() > 100
                ? "This unit is the limit for "
                    + panels
                    + ": another took more of the same panels at like light. Its port, its charger,"
                    + " or a pack that was nearly full."
                : more.high() < 100
                    ? "Another unit took less of " + panels + " at like light."
                    : "Another unit took as much of "
                        + panels
                        + ", as far as these readings tell: the panels are the limit, not this"
                        + " port.");
      }
    }

    void supplies() {
      for (Tried t : tried) {
        if (t.setup().into() != TriedSetup.Into.FROM_SUPPLY || t.amps().isEmpty()) {
          continue;
        }
        double amps = t.amps().getAsDouble();
        Budget budget = Budget.of().with("Ammeter", ammeter, amps, 1);
        OptionalDouble gives = t.setup().supplyAmps();
        boolean held = gives.isPresent() && amps + budget.u95() < gives.getAsDouble();
        String volts =
            t.volts().isPresent()
                ? "At " + Figures.fixed(t.volts().getAsDouble(), 2) + " V the port took "
                : "The port took ";
        words.add(
            volts
                + Figures.plain(amps, Unit.AMPERE)
                + (held
                    ? ", and the supply had up to "
                        + Figures.plain(gives.getAsDouble(), Unit.AMPERE)
                        + " to give: this unit held it, by its port, its charger or a pack nearly full."
                    : gives.isPresent()
                        ? ", which is all the supply gives: the port may take more."
                        : "; what the supply could give was not said, so the port may take more."));
        figures.add(
            Figure.of(
                    "port_amps_" + t.at(),
                    "Current the port takes",
                    amps,
                    Unit.AMPERE,
                    Because.of(budget, volts + Figures.plain(amps, Unit.AMPERE))
                        .summed(t.setup().words()))
                .bounded(held ? Bound.EXACT : Bound.AT_LEAST));
      }
    }

    void jointPorts() {
      for (Tried both : tried) {
        if (both.setup().port() != TriedSetup.Inlet.BOTH || !both.comparable()) {
          continue;
        }
        Optional<Tried> first = alone(both, TriedSetup.Inlet.FIRST);
        Optional<Tried> second = alone(both, TriedSetup.Inlet.SECOND);
        if (first.isEmpty() || second.isEmpty()) {
          continue;
        }
        double light = both.lux().orElseThrow();
        Figure a = first.get().power().orElseThrow();
        Figure b = second.get().power().orElseThrow();
        Figure sum = both.power().orElseThrow();
        double fromFirst = light / first.get().lux().orElseThrow();
        double fromSecond = light / second.get().lux().orElseThrow();
        double apart = a.value() * fromFirst + b.value() * fromSecond;
        double share = 100 * sum.value() / apart;
        Budget budget =
            Budget.of(
                    Contribution.rectangular(
                        "Light of the three, the same meter ± 2 %",
                        share * SAME_METER_PERCENT / 100),
                    Contribution.rectangular(
                        "Light of both, the same meter ± 2 %", share * SAME_METER_PERCENT / 100))
                .with(sum.budget().called("Both").scaled(share / sum.value()))
                .with(a.budget().called("Port 1").scaled(-share * fromFirst / apart))
                .with(b.budget().called("Port 2").scaled(-share * fromSecond / apart));
        Figure figure =
            Figure.of(
                "joint_share_" + both.at(),
                "Both ports, of what each takes alone",
                share,
                Unit.PERCENT,
                Because.of(
                        budget,
                        Figures.plain(sum.value(), Unit.WATT)
                            + " ÷ "
                            + Figures.withUnit(Figures.fixed(apart, 0), Unit.WATT)
                            + ", both brought to "
                            + Figures.plain(light, Unit.LUX))
                    .from(sum, a, b)
                    .summed("two ports together against each alone"));
        figures.add(figure);
        words.add(
            figure.high() < 100
                ? "The two ports share a limit: together they took "
                    + Figures.plain(sum.value(), Unit.WATT)
                    + " where "
                    + Figures.withUnit(Figures.fixed(apart, 0), Unit.WATT)
                    + " were there for them one at a time."
                : "The two ports took together what each takes alone, as far as these readings"
                    + " tell.");
      }
    }

    private Optional<Tried> alone(Tried both, TriedSetup.Inlet port) {
      return tried.stream()
          .filter(t -> t.setup().port() == port && t.comparable())
          .filter(t -> t.setup().into() == both.setup().into())
          .filter(t -> t.setup().converter() == both.setup().converter())
          .min(Comparator.comparingInt(t -> Math.abs(t.at() - both.at())));
    }

    void morePanels() {
      for (Tried[] pair :
          pairs(
              (a, b) ->
                  alike(a, b)
                      && a.shaded() == b.shaded()
                      && a.into() != TriedSetup.Into.FROM_SUPPLY
                      && a.panels().orElse(0) == 1
                      && b.panels().orElse(0) > 1
                      && samePlate(a, b))) {
        int n = pair[1].setup().panels().orElseThrow();
        percent("share_of_panels", "Of " + n + " times one panel", pair[0], pair[1], 1.0 / n, 0);
      }
    }

    private static boolean samePlate(TriedSetup one, TriedSetup many) {
      return one.plateWatts().isPresent() == many.plateWatts().isPresent()
          && (one.plateWatts().isEmpty()
              || Math.abs(
                      one.plateWatts().getAsDouble() * many.panels().orElseThrow()
                          - many.plateWatts().getAsDouble())
                  < 0.5);
    }

    void shade() {
      for (Tried[] pair :
          pairs(
              (a, b) ->
                  alike(a, b)
                      && !a.shaded()
                      && b.shaded()
                      && a.wiring() == b.wiring()
                      && a.panels().equals(b.panels())
                      && a.plateWatts().equals(b.plateWatts()))) {
        percent("left_in_shade", "Left in shade", pair[0], pair[1], 1, 0);
      }
    }

    /** Two that ought to differ and stop at the same current, with no less light for the larger. */
    void limitOfAmps() {
      for (Tried more : tried) {
        for (Tried less : tried) {
          boolean here =
              less.setup().into() == TriedSetup.Into.THIS_UNIT
                  && alike(less.setup(), more.setup())
                  && less.setup().wiring() != TriedSetup.Wiring.SERIES
                  && more.setup().wiring() != TriedSetup.Wiring.SERIES;
          boolean read =
              less.amps().isPresent()
                  && more.amps().isPresent()
                  && less.lux().isPresent()
                  && more.lux().isPresent()
                  && less.setup().plateWatts().isPresent()
                  && more.setup().plateWatts().isPresent();
          if (!here || !read) {
            continue;
          }
          double light = more.lux().getAsDouble() / less.lux().getAsDouble();
          double plates =
              more.setup().plateWatts().getAsDouble() / less.setup().plateWatts().getAsDouble();
          double amps = more.amps().getAsDouble() / less.amps().getAsDouble();
          if (plates * light >= CLEARLY_MORE && Math.abs(amps - 1) <= AT_LIMIT) {
            words.add(
                "With "
                    + less.setup().words()
                    + " and with "
                    + more.setup().words()
                    + " it stopped at "
                    + Figures.plain(more.amps().getAsDouble(), Unit.AMPERE)
                    + ": something else than the panels held the current, unless part of them gave nothing.");
          }
        }
      }
    }

    void missing() {
      long dark = tried.stream().filter(t -> t.power().isPresent() && t.lux().isEmpty()).count();
      if (tried.size() > 1 && dark > 0) {
        words.add(
            (dark == tried.size()
                    ? "The light was not read, so nothing is compared"
                    : "The light was not read at "
                        + dark
                        + " of "
                        + tried.size()
                        + " arrangements, which are not compared")
                + ": a cloud would look like a better or a worse arrangement.");
      }
      for (Tried t : tried) {
        if (t.watts().isEmpty()) {
          words.add("No watts were read with " + t.setup().words() + ".");
        }
      }
    }
  }
}
