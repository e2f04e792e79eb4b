package org.wiseember.core.label;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;

/**
 * Holds a label against itself: amp-hours × volts against watt-hours, amps × volts against watts,
 * charge watts × hours against capacity; and says what it leaves open. Arithmetic of the trade,
 * common practice, no published source.
 */
public final class LabelCheck {
  /** Printed figures are rounded; a product within this share of the print agrees with it. */
  static final double ROUNDING = 0.03;

  /** Share of the charger's energy that ends in the pack, as a generous usual figure. */
  static final double CHARGE_EFFICIENCY = 0.9;

  private LabelCheck() {}

  /** How a check came out. */
  public enum Outcome {
    AGREES("Agrees"),
    /** Something the label leaves open; the remark says how it will be judged. */
    OPEN("Left open"),
    CONTRADICTS("Contradicts");

    private final String words;

    Outcome(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * One check.
   *
   * @param statement the sum with its numbers
   * @param remark what it means
   */
  public record Finding(Outcome outcome, String statement, String remark) {}

  /** All checks that the label gives figures for, contradictions first. */
  public static List<Finding> of(Label label) {
    List<Finding> out = new ArrayList<>();
    ampHours(label, out);
    cells(label, out);
    port(
        label,
        out,
        Subject.SOLAR_VOLTAGE,
        Subject.SOLAR_CURRENT,
        Subject.SOLAR_POWER,
        "solar port");
    port(label, out, Subject.CAR_VOLTAGE, Subject.CAR_CURRENT, Subject.CAR_POWER, "car input");
    port(
        label,
        out,
        Subject.DC_PORT_VOLTAGE,
        Subject.DC_PORT_CURRENT,
        Subject.DC_PORT_POWER,
        "12 V port");
    port(
        label,
        out,
        Subject.OUTPUT_VOLTAGE,
        Subject.OUTPUT_CURRENT,
        Subject.CONTINUOUS_POWER,
        "AC output");
    chargeTime(label, out);
    order(label, out);
    open(label, out);
    // A stable sort: contradictions first, the rest in the order above.
    out.sort(java.util.Comparator.comparing(f -> f.outcome() != Outcome.CONTRADICTS));
    return out;
  }

  private static Optional<Double> figure(Label label, Subject subject) {
    return label.claim(subject).map(Claim::figure).filter(Double::isFinite);
  }

  private static boolean near(double a, double b) {
    return Math.abs(a - b) <= ROUNDING * Math.max(Math.abs(a), Math.abs(b));
  }

  private static void ampHours(Label label, List<Finding> out) {
    Optional<Double> ah = figure(label, Subject.CHARGE_CAPACITY);
    Optional<Double> volts = figure(label, Subject.NOMINAL_VOLTAGE);
    Optional<Double> wh = figure(label, Subject.CAPACITY);
    if (ah.isEmpty() || volts.isEmpty()) {
      return;
    }
    double product = ah.get() * volts.get();
    String sum = Figures.plain(ah.get()) + " Ah × " + Figures.plain(volts.get()) + " V";
    String result = "= " + Figures.fixed(product, product < 100 ? 1 : 0) + " Wh";
    if (wh.isEmpty()) {
      out.add(new Finding(Outcome.OPEN, sum, result + "; no watt-hours printed, taken as these"));
    } else if (near(product, wh.get())) {
      out.add(new Finding(Outcome.AGREES, sum, result + ", as printed"));
    } else {
      out.add(
          new Finding(
              Outcome.CONTRADICTS,
              sum,
              result
                  + ", but "
                  + Figures.plain(wh.get())
                  + " Wh printed; the printed watt-hours are judged"));
    }
  }

  private static void cells(Label label, List<Finding> out) {
    Optional<Double> count = figure(label, Subject.CELLS);
    Optional<Double> volts = figure(label, Subject.NOMINAL_VOLTAGE);
    Optional<String> chemistry = label.claim(Subject.CHEMISTRY).map(Claim::word);
    if (volts.isEmpty() || chemistry.isEmpty()) {
      return;
    }
    double each =
        switch (chemistry.get()) {
          case "LFP" -> 3.2;
          case "NMC", "lithium-ion" -> 3.65;
          case "lead-acid" -> 2.0;
          case "LTO" -> 2.4;
          default -> Double.NaN;
        };
    if (Double.isNaN(each)) {
      return;
    }
    double implied = volts.get() / each;
    if (count.isPresent()) {
      boolean fits = Math.abs(implied - count.get()) < 0.5;
      out.add(
          new Finding(
              fits ? Outcome.AGREES : Outcome.CONTRADICTS,
              Figures.plain(count.get()) + " cells × " + Figures.plain(each) + " V",
              "= "
                  + Figures.plain(count.get() * each)
                  + " V, printed "
                  + Figures.plain(volts.get())
                  + " V"));
    } else if (Math.abs(implied - Math.rint(implied)) < 0.12) {
      out.add(
          new Finding(
              Outcome.AGREES,
              Figures.plain(volts.get()) + " V ÷ " + Figures.plain(each) + " V a cell",
              "= " + Math.round(implied) + " " + chemistry.get() + " cells in series"));
    }
  }

  private static void port(
      Label label, List<Finding> out, Subject v, Subject a, Subject w, String name) {
    Optional<Claim> volts = label.claim(v);
    Optional<Double> amps = figure(label, a);
    Optional<Double> watts = figure(label, w);
    if (volts.isEmpty() || amps.isEmpty() || watts.isEmpty()) {
      return;
    }
    Claim window = volts.get();
    boolean tolerance = window.condition(Condition.Kind.ASSUMED_TOLERANCE).isPresent();
    double high = tolerance || Double.isNaN(window.high()) ? window.figure() : window.high();
    double product = high * amps.get();
    String sum =
        Figures.plain(amps.get())
            + " A × "
            + Figures.plain(high)
            + " V = "
            + Figures.plain(product)
            + " W, printed "
            + Figures.plain(watts.get())
            + " W";
    if (product < watts.get() * (1 - ROUNDING)) {
      out.add(
          new Finding(
              Outcome.CONTRADICTS,
              sum,
              "the " + name + " cannot reach its watts at these volts and amps"));
    } else if (near(product, watts.get())) {
      out.add(new Finding(Outcome.AGREES, sum, "amps × volts give the printed watts"));
    } else {
      out.add(
          new Finding(
              Outcome.AGREES,
              sum,
              "the watts will limit above "
                  + Figures.plain(roundTo(watts.get() / amps.get()))
                  + " V"));
    }
  }

  private static double roundTo(double v) {
    return Math.round(v * 10) / 10.0;
  }

  private static void chargeTime(Label label, List<Finding> out) {
    Optional<Claim> time = label.claim(Subject.CHARGE_TIME);
    Optional<Double> watts =
        figure(label, Subject.MAINS_POWER).or(() -> figure(label, Subject.TOTAL_INPUT));
    Optional<Double> wh = label.ratedWattHours();
    if (time.isEmpty() || watts.isEmpty() || wh.isEmpty()) {
      return;
    }
    double to = time.get().condition(Condition.Kind.TO_PERCENT).orElse(100);
    double from = time.get().condition(Condition.Kind.FROM_PERCENT).orElse(0);
    double needed = wh.get() * Math.max(0, to - from) / 100;
    double given = watts.get() * time.get().figure() * CHARGE_EFFICIENCY;
    String sum =
        Figures.plain(watts.get())
            + " W × "
            + Figures.plain(time.get().figure())
            + " h × "
            + Figures.plain(CHARGE_EFFICIENCY)
            + " = "
            + Figures.plain(Math.rint(given))
            + " Wh";
    if (given >= needed * (1 - ROUNDING)) {
      out.add(
          new Finding(
              Outcome.AGREES, sum, "enough for " + Figures.plain(Math.rint(needed)) + " Wh"));
    } else {
      out.add(
          new Finding(
              Outcome.CONTRADICTS,
              sum,
              "too little for " + Figures.plain(Math.rint(needed)) + " Wh in that time"));
    }
  }

  private static void order(Label label, List<Finding> out) {
    Optional<Double> rated = label.ratedWatts();
    for (Subject s : new Subject[] {Subject.OVERLOAD, Subject.SURGE}) {
      Optional<Double> above = figure(label, s);
      if (rated.isPresent() && above.isPresent() && above.get() < rated.get()) {
        out.add(
            new Finding(
                Outcome.CONTRADICTS,
                s.words() + " " + Figures.plain(above.get()) + " W",
                "is less than the " + Figures.plain(rated.get()) + " W printed as continuous"));
      }
    }
  }

  private static void open(Label label, List<Finding> out) {
    label
        .claim(Subject.SURGE)
        .filter(c -> c.condition(Condition.Kind.FOR_SECONDS).isEmpty())
        .ifPresent(
            c ->
                out.add(
                    new Finding(
                        Outcome.OPEN,
                        "Surge " + Figures.plain(c.figure()) + " W",
                        "no time printed: judged as one motor start and as 1 s")));
    label
        .claim(Subject.OVERLOAD)
        .filter(c -> c.condition(Condition.Kind.FOR_SECONDS).isEmpty())
        .ifPresent(
            c ->
                out.add(
                    new Finding(
                        Outcome.OPEN,
                        "Overload " + Figures.plain(c.figure()) + " W",
                        "no time printed: the time it holds will be reported, not judged")));
    label
        .claim(Subject.IDLE)
        .filter(
            c -> !c.printedAs().toLowerCase(Locale.ROOT).matches(".*\\b(?:ac|dc|output|usb)\\b.*"))
        .ifPresent(
            c ->
                out.add(
                    new Finding(
                        Outcome.OPEN,
                        "Idle " + c.figureWords(),
                        "which outputs? judged with AC on, nothing plugged in")));
    if (label.claim(Subject.CAPACITY).isPresent()
        && label.claim(Subject.CAPACITY).get().conditions().isEmpty()) {
      String load =
          label
              .ratedWatts()
              .map(w -> "judged at half the rating, " + Figures.plain(w / 2) + " W")
              .orElse("judged at whatever load it is drained with; the page says which");
      out.add(
          new Finding(
              Outcome.OPEN,
              "Capacity " + Figures.plain(label.claim(Subject.CAPACITY).get().figure()) + " Wh",
              "no load printed: " + load));
    }
    missing(label, out);
  }

  private static void missing(Label label, List<Finding> out) {
    List<String> absent = new ArrayList<>();
    if (label.ratedWattHours().isEmpty() && label.claim(Subject.INPUT_VOLTAGE).isEmpty()) {
      absent.add("capacity");
    }
    if (label.ratedWatts().isEmpty()) {
      absent.add("continuous power");
    }
    if (label.claim(Subject.OUTPUT_VOLTAGE).isEmpty()) {
      absent.add("output volts");
    }
    if (label.claim(Subject.WAVEFORM).isEmpty()) {
      absent.add("waveform");
    }
    if (!absent.isEmpty() && !label.claims().isEmpty()) {
      out.add(
          new Finding(
              Outcome.OPEN,
              "Not on the label",
              String.join(", ", absent) + ": measured all the same, judged against nothing"));
    }
  }
}
