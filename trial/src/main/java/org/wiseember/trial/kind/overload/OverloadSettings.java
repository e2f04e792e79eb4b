package org.wiseember.trial.kind.overload;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Held;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.LoadRecipe;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.SimulatedRig;
import org.wiseember.trial.kind.StoredSettings;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.live.LiveTile;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.UnitTimes;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.RunSettings;

/**
 * Loads one after the other, each for a time.
 *
 * @param kind of the test: a whole ladder, or the full rating alone
 * @param held load, time and what to plug in
 * @param baseWatts on before each of them; 0 for none
 * @param onHand watts of the heaters they are made of
 */
public record OverloadSettings(
    String kind,
    List<Held> held,
    double baseWatts,
    List<Double> onHand,
    double volts,
    String reason)
    implements TestSettings {
  private static final String BASE = "baseWatts";
  private static final String HOLDS = "holdSeconds";
  private static final String ON_HAND = "loadsOnHand";
  private static final String RECIPES = "recipes";
  private static final String BAR = " | ";

  /** A continuous rating is held so long, s; common practice, no published source. */
  private static final double RATED_SECONDS = 600;

  private static final double EXTRA_SECONDS = 300;

  /** Under an overload the volts sag to about this share. */
  private static final double SAG = 0.97;

  private static final double[] EXTRA = {1.25, 1.5};

  public OverloadSettings {
    held = List.copyOf(held);
    onHand = List.copyOf(onHand);
  }

  /** One load of the ladder while it is planned. */
  private record Wish(double watts, double seconds) {}

  static Optional<TestSettings> of(Label label, OnHand onHand) {
    if (label.ratedWatts().isEmpty() || onHand.loads().isEmpty()) {
      return Optional.empty();
    }
    double rated = label.ratedWatts().orElseThrow();
    double volts = FromLabel.volts(label);
    List<Wish> wishes = wishes(label, rated);
    List<Held> held = new ArrayList<>();
    double base = 0;
    LoadRecipe heaviest = null;
    for (Wish wish : wishes) {
      LoadRecipe recipe =
          LoadRecipe.reaching(onHand.loads(), wish.watts(), rated, SAG * volts, volts);
      double watts = recipe.plateWatts();
      List<Integer> same = new ArrayList<>();
      for (int i = 0; i < held.size(); i++) {
        if (held.get(i).watts() == watts) {
          same.add(i);
        }
      }
      boolean repeats = wishes.stream().filter(w -> w.watts() == wish.watts()).count() > 1;
      if (!same.isEmpty() && !(repeats && same.size() == 1)) {
        Held before = held.get(same.get(0));
        held.set(
            same.get(0),
            new Held(watts, Math.max(before.atMost(), wish.seconds()), before.recipe()));
        continue;
      }
      held.add(new Held(watts, wish.seconds(), recipe.words()));
      heaviest = heaviest == null || watts > heaviest.plateWatts() ? recipe : heaviest;
      double before = recipe.base().stream().mapToDouble(Double::doubleValue).sum();
      base = base == 0 ? before : Math.min(base, before > 0 ? before : base);
    }
    return Optional.of(
        new OverloadSettings(
            OverloadHolds.KIND,
            held,
            base,
            onHand.loads(),
            volts,
            String.join(
                    ", ", held.stream().map(Held::watts).distinct().map(Figures::plain).toList())
                + " W by their plates, each from a base load. The heaviest: "
                + heaviest.words()
                + "."));
  }

  /** The full rating alone, for the ten minutes that make it continuous. */
  static Optional<TestSettings> fullRating(Label label, OnHand onHand) {
    if (label.ratedWatts().isEmpty() || onHand.loads().isEmpty()) {
      return Optional.empty();
    }
    double rated = label.ratedWatts().orElseThrow();
    double volts = FromLabel.volts(label);
    LoadRecipe recipe = LoadRecipe.reaching(onHand.loads(), rated, rated, SAG * volts, volts);
    return Optional.of(
        new OverloadSettings(
            OverloadHolds.FULL_RATING,
            List.of(new Held(recipe.plateWatts(), RATED_SECONDS, recipe.words())),
            0,
            onHand.loads(),
            volts,
            "The rating the label calls continuous, "
                + Figures.plain(rated, Unit.WATT)
                + ", for ten minutes: "
                + recipe.words()
                + "."));
  }

  private static List<Wish> wishes(Label label, double rated) {
    List<Wish> wishes = new ArrayList<>();
    wishes.add(new Wish(rated, RATED_SECONDS));
    for (Claim claim : label.claims()) {
      if (claim.subject() == Subject.OVERLOAD) {
        double promised = claim.condition(Condition.Kind.FOR_SECONDS).orElse(1);
        wishes.add(new Wish(claim.figure(), Math.max(60, 1.3 * promised + 10)));
        wishes.add(new Wish(claim.figure(), Math.max(60, 1.3 * promised + 10)));
      }
    }
    for (double share : EXTRA) {
      wishes.add(new Wish(share * rated, EXTRA_SECONDS));
    }
    wishes.sort((a, b) -> Double.compare(a.watts(), b.watts()));
    return wishes;
  }

  static OverloadSettings kept(String kind, RunSettings kept) {
    List<Double> seconds = StoredSettings.numbers(kept.particulars(), HOLDS);
    List<String> recipes =
        List.of(kept.particulars().getOrDefault(RECIPES, "").split(Pattern.quote(BAR)));
    List<Held> held = new ArrayList<>();
    for (int i = 0; i < kept.loads().size(); i++) {
      held.add(
          new Held(
              kept.loads().get(i),
              i < seconds.size() ? seconds.get(i) : EXTRA_SECONDS,
              i < recipes.size() ? recipes.get(i) : ""));
    }
    return new OverloadSettings(
        kind,
        held,
        StoredSettings.number(kept.particulars(), BASE).orElse(0),
        StoredSettings.numbers(kept.particulars(), ON_HAND),
        kept.volts(),
        "");
  }

  @Override
  public String title() {
    return kind.equals(OverloadHolds.FULL_RATING)
        ? "Full rating, " + Figures.plain(watts(), Unit.WATT)
        : "Overload up to " + Figures.plain(watts(), Unit.WATT);
  }

  @Override
  public List<Double> loads() {
    return held.stream().map(Held::watts).toList();
  }

  @Override
  public Map<String, String> particulars() {
    return Map.of(
        BASE,
        Double.toString(baseWatts),
        HOLDS,
        StoredSettings.list(held.stream().map(Held::atMost).toList()),
        ON_HAND,
        StoredSettings.list(onHand),
        RECIPES,
        String.join(BAR, held.stream().map(Held::recipe).toList()));
  }

  @Override
  public Procedure procedure() {
    return new OverloadHolds(kind, held, baseWatts, volts);
  }

  @Override
  public double designWatts() {
    return 0;
  }

  @Override
  public List<Known> known(HandRecord record) {
    return OverloadByHand.known(held, record);
  }

  @Override
  public ByHand byHand() {
    return OverloadByHand.of(this);
  }

  @Override
  public SimulatedRig simulated(double outletVolts, Set<Fault> faults, long seed) {
    return SimulatedRig.heaters(onHand, outletVolts, faults);
  }

  @Override
  public List<TypedKind> typed() {
    return List.of(TypedKind.POWER, TypedKind.VOLTS, TypedKind.CASE);
  }

  @Override
  public String ends(boolean byHand) {
    return "Each load until it trips or its time is over, then a rest. Stay with it.";
  }

  @Override
  public List<LiveTile> tiles() {
    return List.of(
        LiveTile.SOCKET,
        LiveTile.OUTLET_VOLTS,
        LiveTile.CASE,
        LiveTile.count("Load", OverloadHolds.class, h -> h.begun() + " of " + h.inAll()));
  }

  @Override
  public Needs needs(UnitTimes unit) {
    return Needs.some(unit.percent(watts() * 0.3), 0.6, Equipment.LOADS, Equipment.AC_METER)
        .rested();
  }
}
