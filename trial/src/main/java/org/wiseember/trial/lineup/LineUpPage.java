package org.wiseember.trial.lineup;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.wiseember.core.cost.Parts;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.Order;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.report.look.UnitMark;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.page.TrialPage;

/** A line-up in words and tables, for the screen and as a sheet that prints. */
public final class LineUpPage {
  /** What one gets of a unit. */
  public static final List<Measure> GIVES =
      List.of(
          Measure.DELIVERED,
          Measure.YIELD,
          Measure.WH_PER_KG,
          Measure.W_PER_KG,
          Measure.IDLE,
          Measure.FULL_AGAIN);

  /** What it costs, and what it has. */
  public static final List<Measure> COSTS =
      List.of(
          Measure.PRICE_PER_LABEL_WH,
          Measure.PRICE_PER_DELIVERED_WH,
          Measure.PRICE_PER_LIFETIME_KWH,
          Measure.WEIGHT,
          Measure.NOISE,
          Measure.MUST_HAVES);

  private static final double PERCENT = 100;

  private LineUpPage() {}

  /** The unit of a column, after a comma. */
  public static String head(Measure measure) {
    return switch (measure) {
      case DELIVERED -> "Delivered, Wh";
      case YIELD -> "Yield, %";
      case EFFICIENCY -> "Efficiency, %";
      case WH_PER_KG -> "Wh per kg";
      case W_PER_KG -> "W per kg";
      case PRICE_PER_LABEL_WH -> "Price per printed Wh";
      case PRICE_PER_DELIVERED_WH -> "Price per delivered Wh";
      case PRICE_PER_LIFETIME_KWH -> "Price per kWh, life";
      case FULL_AGAIN -> "Full again, h";
      case SUN -> "From panels, W";
      case IDLE -> "Idle, W";
      case CONTINUOUS -> "Holds, W";
      case DISTORTION -> "Distortion, %";
      case WEIGHT -> "Weight";
      case NOISE -> "Noise, dB";
      case MUST_HAVES -> "Must-haves";
    };
  }

  /** A figure in its column; a dash for one that is not known. */
  public static String cell(LineUpUnit unit, Measure measure) {
    return unit.figure(measure)
        .map(
            f ->
                measure == Measure.MUST_HAVES
                    ? f.bound().sign() + Figures.plain(f.value()) + " of " + unit.answers().size()
                    : measure == Measure.WEIGHT
                        ? f.words()
                        : f.u95() == 0 ? f.bound().sign() + short3(f.value()) : f.bare())
        .orElse("–");
  }

  /** Money without a whisker, in three digits. */
  private static String short3(double value) {
    return Figures.fixed(value, value < 1 ? 3 : value < 100 ? 2 : 0);
  }

  /** What prices of the page are in; empty where nobody noted one. */
  public static String currency(LineUp lineUp) {
    return LineUp.currency(lineUp.units().stream().map(LineUpUnit::facts).toList());
  }

  /** At which load, and whether somebody chose it. */
  public static String load(LineUp lineUp) {
    if (lineUp.load().isEmpty()) {
      return "The units share no load they were drained at, so no energies stand beside each other."
          + " Type a load, or drain them at one.";
    }
    return "Energies at "
        + Figures.plain(Math.rint(lineUp.load().getAsDouble()), Unit.WATT)
        + (lineUp.notes().load().isPresent()
            ? ", as chosen."
            : ", the highest inside what every one of them that was drained was measured at.")
        + " Read off each unit's own curve; a dash is what nobody measured.";
  }

  /** How the order stands, a sentence each. */
  public static List<String> order(LineUp lineUp) {
    List<String> words = new ArrayList<>();
    Order order = lineUp.order();
    for (int i = 0; i < order.places().size(); i++) {
      Order.Place p = order.places().get(i);
      words.add(
          (i + 1)
              + ". "
              + p.name()
              + ": really first with a chance of "
              + Figures.fixed(PERCENT * p.first(), 0)
              + " %.");
    }
    return words;
  }

  /** How a place came about: weight × logarithm of each figure. */
  public static Explanation why(LineUp lineUp, Order.Place place) {
    List<String> sum = new ArrayList<>();
    LineUpUnit unit = lineUp.unit(place.name()).orElseThrow();
    lineUp
        .notes()
        .weights()
        .forEach(
            (m, w) -> {
              if (w > 0 && unit.figure(m).isPresent()) {
                Figure f = unit.figure(m).get();
                sum.add(
                    (m.higherIsBetter() ? "+ " : "− ")
                        + Figures.plain(w)
                        + " × ln "
                        + Figures.plain(f.value())
                        + ", "
                        + m.words());
              }
            });
    sum.add("= " + Figures.fixed(place.score(), 3) + ", of which only differences count");
    return new Explanation(
        place.name() + " really first",
        Figures.fixed(PERCENT * place.first(), 0) + " %",
        Unit.PERCENT,
        Because.of(Budget.of(), sum)
            .summed("how likely no other is better, from how sure every figure is")
            .watching(
                "It says nothing of what has no figure, and nothing of what you did not weigh."));
  }

  /** What has no place, and what is missing of it. */
  public static List<String> leftOut(LineUp lineUp) {
    List<String> words = new ArrayList<>();
    if (!lineUp.untold().isEmpty()) {
      words.add(
          "Of no unit known, so it parts none: "
              + lineUp.untold().stream().map(Measure::words).collect(Collectors.joining(", "))
              + ".");
    }
    lineUp
        .order()
        .leftOut()
        .forEach(
            (name, missing) ->
                words.add(
                    name
                        + " has no place: "
                        + missing.stream().map(Measure::words).collect(Collectors.joining(", "))
                        + " not known."));
    return words;
  }

  /** How far each weight may move before another is first. */
  public static List<String> room(LineUp lineUp) {
    List<String> words = new ArrayList<>();
    lineUp
        .order()
        .room()
        .forEach(
            (m, r) -> {
              String down =
                  r.below().isEmpty()
                      ? ""
                      : "below " + Figures.fixed(r.down(), 2) + " " + r.below() + " is first";
              String up =
                  r.above().isEmpty()
                      ? ""
                      : "above " + Figures.fixed(r.up(), 2) + " " + r.above() + " is first";
              if (!down.isEmpty() || !up.isEmpty()) {
                words.add(
                    m.words()
                        + ": "
                        + down
                        + (down.isEmpty() || up.isEmpty() ? "" : ", ")
                        + up
                        + ".");
              }
            });
    return words;
  }

  /** Which unit for which day. */
  public static List<String> jobs(LineUp lineUp) {
    return lineUp.jobs().stream().map(LineUpPage::job).toList();
  }

  /** One day in a sentence. */
  public static String job(Job job) {
    String title = job.day().title() + ": ";
    if (job.able().isEmpty()) {
      return title
          + "none surely carries it"
          + (job.open().isEmpty()
              ? "."
              : "; open for "
                  + job.open().stream().map(Job.Hand::name).collect(Collectors.joining(", "))
                  + stumble(job.open().get(0)));
    }
    StringBuilder words = new StringBuilder(title);
    words.append(
        job.able().stream()
            .map(h -> h.name() + " with " + Figures.fixed(h.left(), 0) + " % left")
            .collect(Collectors.joining(", ")));
    words.append('.');
    job.lightest().ifPresent(h -> words.append(" Lightest: ").append(h.name()).append('.'));
    job.cheapest().ifPresent(h -> words.append(" Cheapest: ").append(h.name()).append('.'));
    job.smallest().ifPresent(h -> words.append(" Smallest: ").append(h.name()).append('.'));
    return words.toString();
  }

  private static String stumble(Job.Hand hand) {
    return hand.stumbles()
        .map(
            a ->
                ": "
                    + (a.start() ? "the start of " + a.of() : "all that runs")
                    + ". "
                    + a.answer().reason())
        .orElse(".");
  }

  /** Parts against the boxed unit, a sentence each. */
  public static List<String> parts(LineUp lineUp) {
    List<String> words = new ArrayList<>();
    for (LineUpUnit unit : lineUp.units()) {
      List<Parts.Part> list = lineUp.notes().parts().getOrDefault(unit.id(), List.of());
      if (!list.isEmpty()) {
        Figure total = new Parts(list).total(unit.facts().currency());
        words.add(
            unit.name()
                + " in parts: "
                + total.words()
                + " against "
                + (unit.facts().price() > 0
                    ? Figures.plain(unit.facts().price())
                    : "a price nobody noted")
                + " boxed, "
                + total.because().summary()
                + "; and the time to build it.");
      }
    }
    return words;
  }

  /** What was tested when, and under which firmware, where that differs. */
  public static List<String> unlike(LineUp lineUp) {
    List<String> words = new ArrayList<>();
    Set<String> firmware =
        lineUp.units().stream()
            .map(u -> u.facts().firmware())
            .filter(f -> !f.isBlank())
            .collect(Collectors.toSet());
    if (!firmware.isEmpty()) {
      words.add(
          "Firmware: "
              + lineUp.units().stream()
                  .map(
                      u ->
                          u.name()
                              + " "
                              + (u.facts().firmware().isBlank()
                                  ? "not noted"
                                  : u.facts().firmware()))
                  .collect(Collectors.joining(", "))
              + ".");
    }
    Optional<Instant> newest =
        lineUp.units().stream().flatMap(u -> u.newestRun().stream()).max(Comparator.naturalOrder());
    for (LineUpUnit unit : lineUp.units()) {
      unit.newestRun().ifPresent(at -> words.add(runs(unit, at.isBefore(yearBefore(newest)))));
    }
    return words;
  }

  private static Instant yearBefore(Optional<Instant> newest) {
    return newest.map(n -> n.minus(Duration.ofDays(365))).orElse(Instant.MIN);
  }

  /** Which runs stand behind a unit's figures and marks, by their tests. */
  private static String runs(LineUpUnit unit, boolean older) {
    Map<String, List<String>> dates = new LinkedHashMap<>();
    unit.judgement().runs().stream()
        .sorted(Comparator.comparing(r -> r.run().startedAt()))
        .forEach(
            r ->
                dates
                    .computeIfAbsent(r.kept().type().words(), k -> new ArrayList<>())
                    .add(TrialPage.date(r.run().startedAt().atZone(ZoneOffset.UTC).toLocalDate())));
    return unit.name()
        + " rests on: "
        + dates.entrySet().stream()
            .map(e -> e.getKey() + " of " + String.join(", ", new LinkedHashSet<>(e.getValue())))
            .collect(Collectors.joining("; "))
        + (older ? ". All of it is more than a year older than the newest run here." : ".");
  }

  /** In which light watts from panels are told, and whether somebody chose it. */
  public static String light(LineUp lineUp) {
    return lineUp.light().isEmpty()
        ? "Of none of them are watts from panels known with the light they were read in."
        : "Watts from panels in "
            + Figures.plain(lineUp.light().getAsDouble(), Unit.LUX)
            + ", a tenth more or less"
            + (lineUp.notes().light().isPresent()
                ? ", as chosen."
                : ", the light most of them were seen in.");
  }

  /** The row of watts from panels; empty where no light is known. */
  public static Optional<String> lightRow(LineUp lineUp) {
    return lineUp.light().isPresent()
        ? Optional.of(
            "Watts from panels in " + Figures.plain(lineUp.light().getAsDouble(), Unit.LUX))
        : Optional.empty();
  }

  /** Its watts from panels; a dash where nobody read them in that light. */
  public static String lightCell(LineUpUnit unit) {
    return unit.figure(Measure.SUN).map(Figure::bare).orElse("–");
  }

  /** The sheet. */
  public static Sheet sheet(LineUp lineUp) {
    FindingPage page = new FindingPage(List.of(), List.of());
    List<List<String>> marks = new ArrayList<>();
    for (int i = 0; i < lineUp.units().size(); i++) {
      LineUpUnit unit = lineUp.units().get(i);
      List<String> by = lineUp.beaten().getOrDefault(unit.name(), List.of());
      marks.add(
          List.of(
              unit.name(),
              new UnitMark(i).words(),
              by.isEmpty() ? "by none" : "by " + String.join(", ", by)));
    }
    page = page.table(List.of("Unit", "mark", "beaten in all"), marks);
    page = page.table(heads("What it gives", GIVES), rows(lineUp, GIVES));
    page = page.table(heads("What it costs and has", COSTS), rows(lineUp, COSTS));
    page = page.table(wishHeads("Must-have", lineUp), wishRows(lineUp));
    page = page.table(wishHeads("Start of", lineUp), motorRows(lineUp));
    Optional<String> sun = lightRow(lineUp);
    if (sun.isPresent()) {
      List<String> row = new ArrayList<>(List.of(sun.get()));
      lineUp.units().forEach(u -> row.add(lightCell(u)));
      page = page.table(wishHeads("Light", lineUp), List.of(row));
    }
    for (var drawing : LineUpDrawings.of(lineUp).values()) {
      page = page.chart(drawing);
    }
    List<String> said = new ArrayList<>(List.of(load(lineUp), light(lineUp)));
    said.addAll(order(lineUp));
    said.addAll(leftOut(lineUp));
    said.addAll(room(lineUp));
    said.addAll(jobs(lineUp));
    said.addAll(parts(lineUp));
    said.addAll(unlike(lineUp));
    return new Sheet(
        "Line-up",
        lineUp.units().stream().map(LineUpUnit::name).collect(Collectors.joining(", ")) + ".",
        page.say(said));
  }

  private static List<String> heads(String first, List<Measure> measures) {
    List<String> heads = new ArrayList<>(List.of(first));
    measures.forEach(m -> heads.add(head(m)));
    return heads;
  }

  private static List<List<String>> rows(LineUp lineUp, List<Measure> measures) {
    return lineUp.units().stream()
        .map(
            u -> {
              List<String> row = new ArrayList<>(List.of(u.name()));
              measures.forEach(m -> row.add(cell(u, m)));
              return row;
            })
        .toList();
  }

  private static List<List<String>> motorRows(LineUp lineUp) {
    return lineUp.motors().stream()
        .map(
            m -> {
              List<String> row = new ArrayList<>(List.of(m.name()));
              m.units().forEach(u -> row.add(u.brief()));
              return row;
            })
        .toList();
  }

  private static List<String> wishHeads(String first, LineUp lineUp) {
    List<String> heads = new ArrayList<>(List.of(first));
    lineUp.units().forEach(u -> heads.add(u.name()));
    return heads;
  }

  private static List<List<String>> wishRows(LineUp lineUp) {
    List<List<String>> rows = new ArrayList<>();
    for (int i = 0; i < lineUp.notes().mustHaves().size(); i++) {
      List<String> row = new ArrayList<>(List.of(lineUp.notes().mustHaves().get(i)));
      for (LineUpUnit unit : lineUp.units()) {
        row.add(unit.answers().get(i).answer().words());
      }
      rows.add(row);
    }
    return rows;
  }
}
