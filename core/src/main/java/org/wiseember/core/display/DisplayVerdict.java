package org.wiseember.core.display;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * What is to be said of a display after all of it was held against meters.
 *
 * @param out watts out
 * @param in watts in
 * @param words a sentence each
 */
public record DisplayVerdict(DisplayLine out, DisplayLine in, List<String> words) {
  /** Watts of a meter that moved by more than this while the display stood still, as a share. */
  private static final double MOVED = 0.15;

  private static final double MOVED_WATTS = 20;

  /** Points of charge that tell anything. */
  private static final double POINTS = 10;

  public DisplayVerdict {
    words = List.copyOf(words);
  }

  /**
   * Judges it.
   *
   * @param drained what the unit gave from full in a drain, Wh; empty where none was made
   * @param rated on the label, Wh; empty where it does not say
   */
  public static DisplayVerdict of(
      DisplayAudit audit, OptionalDouble drained, OptionalDouble rated) {
    DisplayLine out = DisplayLine.of("display_out", "Display, watts out", audit.out());
    DisplayLine in = DisplayLine.of("display_in", "Display, watts in", audit.in());
    List<String> words = new ArrayList<>();
    say("out", out, words);
    say("in", in, words);
    audit.stuck().forEach(s -> stuck(s, drained).ifPresent(words::add));
    promised(audit.promises(), drained, rated).ifPresent(words::add);
    return new DisplayVerdict(out, in, words);
  }

  private static void say(String side, DisplayLine line, List<String> words) {
    line.scale()
        .ifPresent(
            scale -> {
              double off = scale.value() - 100;
              words.add(
                  Math.abs(off) <= scale.u95()
                      ? "Watts "
                          + side
                          + " on the display agree with the meter within "
                          + Figures.fixed(scale.u95(), 1)
                          + " %."
                      : "The display shows "
                          + Figures.withUncertainty(Math.abs(off), scale.u95())
                          + " % too "
                          + (off > 0 ? "many" : "few")
                          + " watts "
                          + side
                          + (side.equals("in")
                              ? " beside the meter, which counts the charger's loss too"
                              : "")
                          + line.offset()
                              .filter(o -> Math.abs(o.value()) > o.u95())
                              .map(o -> ", and " + o.words() + " beside that")
                              .orElse("")
                          + ".");
            });
    line.floor()
        .ifPresent(
            f ->
                words.add("It shows nothing at " + Figures.plain(f, Unit.WATT) + " " + side + "."));
  }

  private static Optional<String> stuck(DisplayAudit.Stuck s, OptionalDouble drained) {
    double moved = s.most() - s.least();
    if (moved > Math.max(MOVED_WATTS, MOVED * s.most())) {
      return Optional.of(
          "The display stood at "
              + Figures.plain(s.shown(), Unit.WATT)
              + " for "
              + Figures.duration(s.seconds())
              + " while the meter went from "
              + Figures.fixed(s.least(), 0)
              + " to "
              + Figures.withUnit(Figures.fixed(s.most(), 0), Unit.WATT)
              + ": it was frozen.");
    }
    return drained.isPresent() && Math.abs(s.points()) >= POINTS
        ? AgainstCharge.sentence(s.shown(), s.points(), drained.getAsDouble(), s.seconds() / 3600)
        : Optional.empty();
  }

  /** Hours promised, as what the unit would have to give. */
  private static Optional<String> promised(
      List<DisplayAudit.Promise> promises, OptionalDouble drained, OptionalDouble rated) {
    OptionalDouble mean = promises.stream().mapToDouble(DisplayAudit.Promise::whenFull).average();
    if (mean.isEmpty()) {
      return Optional.empty();
    }
    String words =
        "The hours to empty it promises amount to "
            + Figures.withUnit(Figures.fixed(mean.getAsDouble(), 0), Unit.WATT_HOUR)
            + " from full";
    OptionalDouble whole = drained.isPresent() ? drained : rated;
    return Optional.of(
        whole.isPresent()
            ? words
                + ", "
                + Figures.fixed(100 * mean.getAsDouble() / whole.getAsDouble(), 0)
                + " % of the "
                + Figures.withUnit(Figures.fixed(whole.getAsDouble(), 0), Unit.WATT_HOUR)
                + (drained.isPresent() ? " it gave in a drain." : " on its label.")
            : words + ".");
  }

  /** The figures of both sides. */
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>(out.figures());
    all.addAll(in.figures());
    return all;
  }
}
