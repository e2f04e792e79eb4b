package org.wiseember.trial.lineup;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.inspect.Point;
import org.wiseember.core.inspect.Seen;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.label.Subject;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.lineup.MustHave.Answer;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Endured;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.core.waveform.WaveClass;
import org.wiseember.trial.kind.found.Inspected;
import org.wiseember.trial.kind.found.LeftOn;
import org.wiseember.trial.kind.found.StayedOn;
import org.wiseember.trial.lineup.Answered.Rests;
import org.wiseember.trial.runtime.MeasuredSupply;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.wave.CapturedWaves;
import org.wiseember.trial.wave.Wave;

/** Must-haves answered of one unit: by what was measured, then seen, then printed. */
final class MustHaveAnswers {
  /** The outlet, the 12 V port and USB. */
  private static final int OUTPUTS = 3;

  private static final double FULL = 100;

  private final Judgement unit;
  private final Map<Measure, Figure> figures;
  private final Set<Measure> printed;
  private final Map<String, ApplianceDraw> appliances;

  /**
   * Of one unit.
   *
   * @param known its figures
   * @param appliances that were watched or stand in a day, by name in lower case
   */
  MustHaveAnswers(Judgement unit, LineUpFigures known, Map<String, ApplianceDraw> appliances) {
    this.unit = unit;
    this.figures = known.figures();
    this.printed = known.printed();
    this.appliances = appliances;
  }

  /** The answer; what somebody answered by hand comes first. */
  Answered of(MustHave wish, Optional<Answer> byHand) {
    if (byHand.isPresent()) {
      return new Answered(wish, byHand.get(), "Answered by hand.", Optional.empty(), Rests.BY_HAND);
    }
    if (wish.wish() instanceof MustHave.Limit limit) {
      return limit(wish, limit);
    } else if (wish.wish() instanceof MustHave.UsbBothWays usb) {
      return usb(wish, usb.watts());
    } else if (wish.wish() instanceof MustHave.Runs runs) {
      return runs(wish, runs.appliance());
    } else if (wish.wish() instanceof MustHave.Quality quality) {
      return switch (quality) {
        case PASS_THROUGH -> passThrough(wish);
        case PURE_SINE -> sine(wish);
        case REGULATED -> regulated(wish);
        case DISPLAY_TELLS ->
            inspected(wish, Point.DISPLAY_TELLS)
                .orElseGet(() -> open(wish, "An inspection settles it."));
        case OUTPUTS_STAY -> stays(wish);
      };
    }
    return open(wish, "Only somebody who looks can tell: answer it by hand.");
  }

  private static Answered open(MustHave wish, String settles) {
    return new Answered(wish, Answer.NOT_KNOWN, settles, Optional.empty(), Rests.NOTHING);
  }

  private static Answered said(MustHave wish, Answer answer, String because, Rests rests) {
    return new Answered(wish, answer, because, Optional.empty(), rests);
  }

  private Optional<Claim> claim(Subject subject) {
    return unit.label().claim(subject);
  }

  private static Answered printed(MustHave wish, Answer answer, Claim claim) {
    return said(
        wish,
        answer,
        "Only printed: “"
            + (claim.printedAs().isEmpty() ? claim.subject().words() : claim.printedAs().strip())
            + "”.",
        Rests.PRINTED);
  }

  private Answered limit(MustHave wish, MustHave.Limit limit) {
    Figure figure = figures.get(limit.measure());
    if (figure != null) {
      Answer answer = MustHave.answer(limit, figure);
      boolean label = printed.contains(limit.measure());
      return new Answered(
          wish,
          answer,
          figure.name()
              + ": "
              + figure.words()
              + (answer == Answer.NOT_KNOWN ? ", too close to say or only a bound." : "."),
          Optional.of(figure),
          label ? Rests.PRINTED : Rests.MEASURED);
    }
    Optional<Claim> claim =
        limit.measure() == Measure.FULL_AGAIN
            ? claim(Subject.CHARGE_TIME).filter(MustHaveAnswers::whole)
            : Optional.empty();
    if (claim.isPresent()) {
      return printed(
          wish, claim.get().figure() <= limit.limit() ? Answer.YES : Answer.NO, claim.get());
    }
    return open(wish, "What would settle it: " + limit.measure().settledBy() + ".");
  }

  /** To full, and not to the 80 % a label likes to name. */
  private static boolean whole(Claim chargeTime) {
    return chargeTime.condition(Condition.Kind.TO_PERCENT).orElse(FULL) == FULL
        && chargeTime.condition(Condition.Kind.FROM_PERCENT).orElse(0) == 0;
  }

  /** Alive while it charges: all three of its outputs is yes, some of them half. */
  private Answered passThrough(MustHave wish) {
    Map<Channel, Alive> alive = unit.newest(StayedOn.class).map(StayedOn::alive).orElse(Map.of());
    if (!alive.isEmpty()) {
      String each =
          String.join(
              ", ",
              alive.entrySet().stream()
                  .map(
                      e ->
                          e.getKey().words().replace(" while charging", "")
                              + " "
                              + e.getValue().words())
                  .toList());
      return said(wish, passes(alive), "While it charges: " + each + ".", Rests.SEEN);
    }
    return claim(Subject.PASS_THROUGH)
        .or(() -> claim(Subject.SWITCH_OVER))
        .map(c -> printed(wish, Answer.YES, c))
        .orElseGet(() -> open(wish, "Pull the wall plug and look what stays on."));
  }

  /** What nobody looked at may be off as well as on. */
  private static Answer passes(Map<Channel, Alive> alive) {
    boolean some = alive.values().stream().anyMatch(a -> a != Alive.OFF);
    boolean every = alive.values().stream().allMatch(a -> a == Alive.ON);
    if (some && !every) {
      return Answer.HALF;
    }
    return alive.size() < OUTPUTS ? Answer.NOT_KNOWN : every ? Answer.YES : Answer.NO;
  }

  private Answered sine(MustHave wish) {
    Optional<Wave> worst = unit.newest(CapturedWaves.class).flatMap(CapturedWaves::worst);
    if (worst.isPresent()) {
      var finding = worst.get().finding().orElseThrow();
      Answer answer =
          finding.shape() == WaveClass.SINE
              ? Answer.YES
              : finding.shape() == WaveClass.ROUGH_SINE ? Answer.HALF : Answer.NO;
      return new Answered(
          wish,
          answer,
          "Its worst wave is " + finding.shape().words() + ".",
          Optional.ofNullable(figures.get(Measure.DISTORTION)),
          Rests.MEASURED);
    }
    Optional<Verdict> byEye = ofWord(Subject.WAVEFORM, "pure sine");
    Optional<Answer> looked = byEye.flatMap(v -> settled(v.standing()));
    if (looked.isPresent()) {
      return said(wish, looked.get(), byEye.get().reason(), Rests.SEEN);
    }
    return claim(Subject.WAVEFORM)
        .map(
            c ->
                printed(
                    wish,
                    c.word().toLowerCase(Locale.ROOT).contains("pure") ? Answer.YES : Answer.NO,
                    c))
        .orElseGet(() -> open(wish, "Look at its wave with a scope, or read its distortion."));
  }

  private Answered regulated(MustHave wish) {
    Optional<Verdict> verdict = ofWord(Subject.DC_PORT_REGULATED, "regulated");
    Optional<Answer> seen = verdict.flatMap(v -> settled(v.standing()));
    if (seen.isPresent()) {
      return said(wish, seen.get(), verdict.get().reason(), Rests.MEASURED);
    }
    return claim(Subject.DC_PORT_REGULATED)
        .map(c -> printed(wish, Answer.YES, c))
        .orElseGet(() -> open(wish, "Load the 12 V port step by step, its leads known."));
  }

  /** How a word stands, whether the label prints it or not. */
  private Optional<Verdict> ofWord(Subject subject, String word) {
    Claim promised =
        new Claim(subject, Direction.STATED, Double.NaN, Double.NaN, word, List.of(), "");
    return unit.answer(promised).map(a -> a.judge().verdict(true));
  }

  private static Optional<Answer> settled(Standing standing) {
    return switch (standing) {
      case KEPT -> Optional.of(Answer.YES);
      case SHORT -> Optional.of(Answer.NO);
      default -> Optional.empty();
    };
  }

  private Optional<Answered> inspected(MustHave wish, Point point) {
    return unit.newest(Inspected.class)
        .flatMap(r -> r.seen().stream().filter(s -> s.point() == point).findFirst())
        .map(
            s ->
                said(
                    wish,
                    seen(s.answer()),
                    "Inspection: "
                        + s.answer().words()
                        + (s.note().isBlank() ? "." : ", “" + s.note() + "”."),
                    Rests.SEEN));
  }

  private static Answer seen(Seen.Answer answer) {
    return switch (answer) {
      case YES -> Answer.YES;
      case HALF -> Answer.HALF;
      case NO -> Answer.NO;
    };
  }

  /** A soak shows it; else what an inspection found of the setting. */
  private Answered stays(MustHave wish) {
    Optional<LeftOn> soak = unit.newest(LeftOn.class).filter(s -> s.looks() > 1);
    if (soak.isPresent()) {
      return said(
          wish, soak.get().wentOff() ? Answer.NO : Answer.YES, soak.get().words(), Rests.SEEN);
    }
    return inspected(wish, Point.OUTPUTS_STAY)
        .orElseGet(() -> open(wish, "Leave a small load on it overnight."));
  }

  /**
   * Out and in, each by what was measured, else by what is printed. What a small tester or charger
   * stopped at is no limit of the unit. Half where only one way goes, or each half as much.
   */
  private Answered usb(MustHave wish, double watts) {
    Way out = way(Subject.USB_C_POWER, watts);
    Way in = way(Subject.USB_INPUT, watts);
    if (!out.known() && !in.known()) {
      return open(wish, "Ask its USB-C port with a PD trigger, and charge through it.");
    }
    boolean some = out.watts() >= watts / 2 || in.watts() >= watts / 2;
    Answer answer =
        out.enough() && in.enough()
            ? Answer.YES
            : out.enough() || in.enough() || some
                ? Answer.HALF
                : out.known() && in.known() ? Answer.NO : Answer.NOT_KNOWN;
    return said(
        wish,
        answer,
        "Out " + out.words() + ", in " + in.words() + ".",
        out.measured() || in.measured() ? Rests.MEASURED : Rests.PRINTED);
  }

  private record Way(double watts, boolean enough, boolean measured, boolean known) {
    String words() {
      return known
          ? Figures.plain(Math.rint(watts), Unit.WATT) + (measured ? "" : " printed")
          : "not known";
    }
  }

  private Way way(Subject subject, double watts) {
    Optional<Verdict> verdict =
        unit.answer(Claim.atLeast(subject, watts, "")).map(a -> a.judge().verdict(false));
    Optional<Answer> seen = verdict.flatMap(v -> settled(v.standing()));
    Optional<Figure> figure = verdict.flatMap(Verdict::measured);
    if (seen.isPresent() && figure.isPresent()) {
      return new Way(figure.get().value(), seen.get() == Answer.YES, true, true);
    }
    return claim(subject)
        .map(c -> new Way(c.figure(), c.figure() >= watts, false, true))
        .orElse(new Way(0, false, false, false));
  }

  /** By what its starts and holds have shown, never by its label. */
  private Answered runs(MustHave wish, String appliance) {
    ApplianceDraw draw = appliances.get(appliance);
    if (draw == null) {
      return open(
          wish,
          "Nothing is known of “" + appliance + "”: watch it, or lay it out in a day of Run-time.");
    }
    Optional<MeasuredSupply> supply = MeasuredSupply.of(unit);
    if (supply.isEmpty()) {
      return open(wish, "Nothing was tried on this unit.");
    }
    Endured endured = supply.get().endured();
    Endured.Answer running = endured.running(draw.runningWatts(), Endured.FOR_GOOD);
    Endured.Answer answer =
        draw.startVa() > 0
            ? worse(endured.starting(draw.startVa(), Math.max(0.05, draw.share95())), running)
            : running;
    return said(
        wish,
        switch (answer.call()) {
          case HOLDS -> Answer.YES;
          case TRIPS -> Answer.NO;
          case OPEN -> Answer.NOT_KNOWN;
        },
        answer.reason(),
        answer.call() == Endured.Call.OPEN ? Rests.NOTHING : Rests.MEASURED);
  }

  private static Endured.Answer worse(Endured.Answer one, Endured.Answer other) {
    return one.call().compareTo(other.call()) <= 0 ? one : other;
  }

  /** All of them, in the order they were written. */
  List<Answered> all(List<MustHave> wishes, Function<String, Optional<Answer>> hand) {
    return wishes.stream().map(w -> of(w, hand.apply(w.words()))).toList();
  }
}
