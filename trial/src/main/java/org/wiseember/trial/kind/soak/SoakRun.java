package org.wiseember.trial.kind.soak;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.port.SwitchedOff;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.LeftOn;

/**
 * A small load left on for a day or a night.
 *
 * @param off when the output went off; empty where it was not seen to
 * @param looks how often the output was found on: by its volts, or by eye. With less than two
 *     nobody knows what it did
 * @param seconds from the first of them to the last
 * @param draw what the load drew on the mean
 * @param ofShown what was drawn, of what the display used up
 * @param roomCelsius mean of the room; empty where nobody read it
 * @param recovery how it came back, a sentence each
 */
public record SoakRun(
    StoredRun kept,
    Optional<SwitchedOff> off,
    int looks,
    double seconds,
    Optional<Figure> draw,
    Optional<Figure> ofShown,
    OptionalDouble roomCelsius,
    List<String> recovery)
    implements LeftOn {
  public SoakRun {
    recovery = List.copyOf(recovery);
  }

  /** One sentence. */
  @Override
  public String words() {
    return off.map(SwitchedOff::words)
        .orElse(
            !known()
                ? "Nobody looked at the output, or just once, so nobody knows whether it stayed on."
                : byEye()
                    ? "The output was on each of the "
                        + looks
                        + " times it was looked at, over "
                        + Figures.duration(seconds)
                        + "; in between nobody looked."
                    : "The output stayed on for " + Figures.duration(seconds) + ".");
  }

  private boolean known() {
    return looks > 1;
  }

  private boolean byEye() {
    return run().settings().byHand();
  }

  @Override
  public Optional<Explanation> headline() {
    Because because =
        Because.of(Budget.of(), words()).summed("soaked for " + Figures.duration(seconds));
    boolean byItself = off.filter(SwitchedOff::byItself).isPresent();
    return Optional.of(
        new Explanation(
            "Does the output stay on?",
            off.isPresent() ? byItself ? "no" : "until empty" : known() ? "yes" : "not read",
            Unit.ONE,
            byItself
                ? because.watching(
                    "An eco mode or an auto-off timer ruins a fridge overnight. Look for a setting"
                        + " that keeps the output on, and soak again.")
                : because));
  }

  @Override
  public List<Figure> figures() {
    return Stream.concat(draw.stream(), ofShown.stream()).toList();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<Explanation> heads = new ArrayList<>(headline().stream().toList());
    figures().stream().map(Explanation::of).forEach(heads::add);
    List<String> said = new ArrayList<>(List.of(words()));
    said.addAll(recovery.stream().distinct().toList());
    said.add(
        roomCelsius.isPresent()
            ? "The room was at "
                + Figures.fixed(roomCelsius.getAsDouble(), 1)
                + "\u00a0°C: a fridge in a warm room draws more."
            : "The room was not read.");
    return new FindingPage(heads, List.of()).say(said);
  }

  @Override
  public List<Warning> warnings() {
    return List.of(new Warning("soak", words()));
  }

  @Override
  public boolean wentOff() {
    return off.isPresent();
  }
}
