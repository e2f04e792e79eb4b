package org.wiseember.core.label;

import java.util.List;
import java.util.Optional;

/**
 * A unit's label: what was typed, what it means line by line, and the claims added by hand.
 *
 * @param text the lines as typed
 * @param readings one for every line
 * @param byHand claims that stand beside what was read; one of the same subject takes its place
 */
public record Label(String text, List<LineReading> readings, List<Claim> byHand) {
  /** Longest label read, in lines; what comes after is left unread and said so by the window. */
  public static final int MOST_LINES = 400;

  public Label {
    readings = List.copyOf(readings);
    byHand = List.copyOf(byHand);
  }

  /** Reads a label as printed. */
  public static Label read(String text) {
    return read(text, List.of());
  }

  /** Reads a label as printed, with claims mended by hand. */
  public static Label read(String text, List<Claim> byHand) {
    LabelReader reader = new LabelReader();
    List<LineReading> readings = text.lines().limit(MOST_LINES).map(reader::readLine).toList();
    return new Label(text, readings, byHand);
  }

  /** All claims in the order printed; one mended by hand stands in the place of what it mends. */
  public List<Claim> claims() {
    java.util.ArrayList<Claim> all = new java.util.ArrayList<>();
    java.util.ArrayList<Claim> added = new java.util.ArrayList<>(byHand);
    for (LineReading reading : readings) {
      for (Claim read : reading.claimed()) {
        Optional<Claim> mended =
            added.stream()
                .filter(
                    c ->
                        c.subject() == read.subject()
                            && (c.printedAs().equals(read.printedAs()) || c.printedAs().isEmpty()))
                .findFirst();
        mended.ifPresent(added::remove);
        Claim claim = mended.orElse(read);
        if (!all.contains(claim)) {
          all.add(claim);
        }
      }
    }
    all.addAll(added);
    return inWatts(all);
  }

  /** Shares of the rating in watts, where the label prints the rating. */
  private static List<Claim> inWatts(List<Claim> all) {
    Optional<Double> rated =
        all.stream()
            .filter(c -> c.subject() == Subject.CONTINUOUS_POWER)
            .findFirst()
            .or(() -> all.stream().filter(c -> c.subject() == Subject.APPARENT_POWER).findFirst())
            .map(Claim::figure);
    return all.stream()
        .map(c -> rated.map(watts -> inWatts(c, watts)).orElse(c))
        .distinct()
        .toList();
  }

  private static Claim inWatts(Claim claim, double rated) {
    Subject subject =
        claim.subject() == Subject.OVERLOAD_SHARE
            ? Subject.OVERLOAD
            : claim.subject() == Subject.SURGE_SHARE ? Subject.SURGE : claim.subject();
    return subject == claim.subject()
        ? claim
        : new Claim(
            subject,
            Direction.AT_LEAST,
            claim.low() / 100 * rated,
            Double.NaN,
            "",
            claim.conditions(),
            claim.printedAs());
  }

  /** The first claim about a subject. */
  public Optional<Claim> claim(Subject subject) {
    return claims().stream().filter(c -> c.subject() == subject).findFirst();
  }

  /** The pack's capacity in Wh: as printed, else amp-hours × volts where both are printed. */
  public Optional<Double> ratedWattHours() {
    Optional<Double> printed = claim(Subject.CAPACITY).map(Claim::figure);
    if (printed.isPresent()) {
      return printed;
    }
    return claim(Subject.CHARGE_CAPACITY)
        .flatMap(ah -> claim(Subject.NOMINAL_VOLTAGE).map(v -> ah.figure() * v.figure()));
  }

  /** Continuous watts as printed, else the VA. */
  public Optional<Double> ratedWatts() {
    return claim(Subject.CONTINUOUS_POWER)
        .or(() -> claim(Subject.APPARENT_POWER))
        .map(Claim::figure);
  }
}
