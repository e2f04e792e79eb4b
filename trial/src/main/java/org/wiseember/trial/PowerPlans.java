package org.wiseember.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.overload.LoadRecipe;
import org.wiseember.core.port.UsbTester;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/** How the tests of power, ports, heat and noise are set up for a unit. */
final class PowerPlans {
  /** A continuous rating is held so long, s; common practice, no published source. */
  private static final double RATED_SECONDS = 600;

  private static final double EXTRA_SECONDS = 300;

  /** Under an overload the volts sag to about this share. */
  private static final double SAG = 0.97;

  private static final double[] EXTRA = {1.25, 1.5};
  private static final double[] PORT_SHARES = {0.1, 0.25, 0.5, 0.75, 0.9, 1, 1.03, 1.06, 1.1, 1.2};
  private static final double PORT_AMPS = 10;
  private static final double SOAK_WATTS = 60;

  private PowerPlans() {}

  /** One load of an overload ladder while it is planned. */
  private record Wish(double watts, double seconds) {}

  static Optional<TestPlan> overload(Label label, OnHand onHand) {
    if (label.ratedWatts().isEmpty() || onHand.loads().isEmpty()) {
      return Optional.empty();
    }
    double rated = label.ratedWatts().orElseThrow();
    double volts = TestPlan.volts(label);
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
    List<Double> loads = new ArrayList<>();
    List<Double> seconds = new ArrayList<>();
    List<String> recipes = new ArrayList<>();
    double base = 0;
    LoadRecipe heaviest = null;
    for (Wish wish : wishes) {
      LoadRecipe recipe =
          LoadRecipe.reaching(onHand.loads(), wish.watts(), rated, SAG * volts, volts);
      double watts = recipe.plateWatts();
      int same = loads.indexOf(watts);
      boolean repeats = wishes.stream().filter(w -> w.watts() == wish.watts()).count() > 1;
      if (same >= 0 && !(repeats && loads.lastIndexOf(watts) == same)) {
        seconds.set(same, Math.max(seconds.get(same), wish.seconds()));
        continue;
      }
      loads.add(watts);
      recipes.add(recipe.words());
      seconds.add(wish.seconds());
      heaviest = heaviest == null || watts > heaviest.plateWatts() ? recipe : heaviest;
      double before = recipe.base().stream().mapToDouble(Double::doubleValue).sum();
      base = base == 0 ? before : Math.min(base, before > 0 ? before : base);
    }
    return Optional.of(
        new TestPlan(
            TestKind.OVERLOAD,
            loads,
            volts,
            String.join(", ", loads.stream().distinct().map(Figures::plain).toList())
                + " W by their plates, each from a base load. The heaviest: "
                + heaviest.words()
                + ".",
            Particulars.ofHolds(base, seconds, onHand.loads(), recipes)));
  }

  static TestPlan starts(Label label, OnHand onHand) {
    return new TestPlan(
        TestKind.STARTS,
        List.of(),
        TestPlan.volts(label),
        "Five starts of "
            + onHand.motor().name()
            + " ("
            + onHand.motor().kind().words()
            + ", "
            + onHand.motor().eased().words()
            + ") with a minute between.",
        Particulars.of(onHand.motor()));
  }

  static TestPlan switchOver(Label label, OnHand onHand) {
    double rated = label.ratedWatts().orElse(2 * TestPlan.USUAL_WATTS);
    double light = nearest(onHand.loads(), 0.1 * rated, TestPlan.USUAL_WATTS / 4);
    double heavy = Math.max(light, nearest(onHand.loads(), 0.5 * rated, TestPlan.USUAL_WATTS));
    return new TestPlan(
        TestKind.SWITCH_OVER,
        heavy > light ? List.of(light, heavy) : List.of(light),
        TestPlan.volts(label),
        "Mains through to "
            + Figures.plain(light)
            + " and "
            + Figures.plain(heavy, Unit.WATT)
            + ", then the plug is pulled five times.",
        new TreeMap<>());
  }

  static TestPlan port(Label label) {
    double amps = label.claim(Subject.DC_PORT_CURRENT).map(Claim::figure).orElse(PORT_AMPS);
    List<Double> steps = new ArrayList<>();
    for (double share : PORT_SHARES) {
      steps.add(Math.rint(10 * share * amps) / 10);
    }
    return new TestPlan(
        TestKind.PORT,
        steps,
        TestPlan.PORT_VOLTS,
        "From "
            + Figures.plain(steps.get(0))
            + " A up to "
            + Figures.plain(steps.get(steps.size() - 1))
            + " A, past the "
            + Figures.plain(amps)
            + " A on the label, until it switches off.",
        new TreeMap<>());
  }

  static TestPlan usb(OnHand onHand) {
    UsbTester tester = onHand.usb();
    return new TestPlan(
        TestKind.USB,
        List.of(),
        5,
        "With a "
            + tester.words()
            + ", which can show up to "
            + Figures.plain(tester.mostWatts(), Unit.WATT)
            + " of any port.",
        Particulars.of(tester));
  }

  static Optional<TestPlan> heat(Label label, OnHand onHand) {
    List<Double> loads = steps(label, onHand, 0.25, 0.5, 0.9);
    return loads.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new TestPlan(
                TestKind.HEAT,
                loads,
                TestPlan.volts(label),
                "The room first, then "
                    + String.join(", ", loads.stream().map(Figures::plain).toList())
                    + " W; 50 min at the last. Sound meter at "
                    + Figures.plain(onHand.soundMetres())
                    + " m.",
                Particulars.ofDistance(onHand.soundMetres())));
  }

  static Optional<TestPlan> waveform(Label label, OnHand onHand) {
    List<Double> loads = steps(label, onHand, 0.1, 0.25, 0.5, 0.97);
    return loads.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new TestPlan(
                TestKind.WAVEFORM,
                loads,
                TestPlan.volts(label),
                "The mains for comparison, no load, then "
                    + String.join(", ", loads.stream().map(Figures::plain).toList())
                    + " W: a wave may be worst at any of them.",
                new TreeMap<>()));
  }

  /** Loads on hand near shares of the rating, light to heavy, none above it. */
  private static List<Double> steps(Label label, OnHand onHand, double... shares) {
    if (label.ratedWatts().isEmpty() || onHand.loads().isEmpty()) {
      return List.of();
    }
    double rated = label.ratedWatts().orElseThrow();
    List<Double> loads = new ArrayList<>();
    for (double share : shares) {
      double watts = nearest(onHand.loads(), share * rated, share * rated);
      if (watts <= rated && !loads.contains(watts)) {
        loads.add(watts);
      }
    }
    loads.sort(null);
    return loads;
  }

  static TestPlan soak(Label label) {
    return new TestPlan(
        TestKind.SOAK,
        List.of(SOAK_WATTS),
        TestPlan.volts(label),
        "A fridge of "
            + Figures.plain(SOAK_WATTS, Unit.WATT)
            + " for 24 h: does the output stay on while it idles?",
        new TreeMap<>());
  }

  static TestPlan twoLegs() {
    return new TestPlan(
        TestKind.TWO_LEGS,
        List.of(),
        240,
        "Two units joined: what was on before, then the 240 V load, watts of both legs each time.",
        new TreeMap<>());
  }

  /** The sum of loads on hand nearest to a wish. */
  private static double nearest(List<Double> onHand, double watts, double otherwise) {
    return onHand.isEmpty()
        ? otherwise
        : LoadRecipe.of(onHand, watts, Math.max(1, watts), 1, 1).plateWatts();
  }
}
