package org.wiseember.trial.lineup;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.inspect.Point;
import org.wiseember.core.inspect.Seen;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.lineup.MustHave.Answer;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.Draw;
import org.wiseember.core.runtime.Endured;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.waveform.WaveClass;
import org.wiseember.trial.lineup.Answered.Rests;
import org.wiseember.trial.runtime.MeasuredSupply;
import org.wiseember.trial.test.charge.ChargeRun;
import org.wiseember.trial.test.inspect.InspectionRun;
import org.wiseember.trial.test.port.PortRun;
import org.wiseember.trial.test.soak.SoakRun;
import org.wiseember.trial.test.stays.StaysRun;
import org.wiseember.trial.test.usb.UsbRun;
import org.wiseember.trial.test.waveform.WaveRun;
import org.wiseember.trial.verdict.Judgement;

/** Must-haves answered of one unit: by what was measured, then seen, then printed. */
final class MustHaveAnswers {
  private final Judgement unit;
  private final Map<Measure, Figure> figures;
  private final Map<String, Draw> appliances;

  /**
   * Of one unit.
   *
   * @param figures that are known of it
   * @param appliances that were watched or stand in a day, by name in lower case
   */
  MustHaveAnswers(Judgement unit, Map<Measure, Figure> figures, Map<String, Draw> appliances) {
    this.unit = unit;
    this.figures = figures;
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
      boolean label = figure.name().contains("printed");
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
        limit.measure() == Measure.FULL_AGAIN ? claim(Subject.CHARGE_TIME) : Optional.empty();
    if (claim.isPresent()) {
      return printed(
          wish, claim.get().figure() <= limit.limit() ? Answer.YES : Answer.NO, claim.get());
    }
    return open(wish, "What would settle it: " + limit.measure().settledBy() + ".");
  }

  /** Alive while it charges: all three of its outputs is yes, some of them half. */
  private Answered passThrough(MustHave wish) {
    Map<Channel, Alive> alive = unit.newest(StaysRun.class).map(StaysRun::alive).orElse(Map.of());
    if (!alive.isEmpty()) {
      long on = alive.values().stream().filter(a -> a != Alive.OFF).count();
      Answer answer = on == 0 ? Answer.NO : on == alive.size() ? Answer.YES : Answer.HALF;
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
      return said(wish, answer, "While it charges: " + each + ".", Rests.SEEN);
    }
    return claim(Subject.PASS_THROUGH)
        .or(() -> claim(Subject.SWITCH_OVER))
        .map(c -> printed(wish, Answer.YES, c))
        .orElseGet(() -> open(wish, "Pull the wall plug and look what stays on."));
  }

  private Answered sine(MustHave wish) {
    Optional<WaveRun.Wave> worst = unit.newest(WaveRun.class).flatMap(WaveRun::worst);
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
    Optional<PortRun> port = unit.newest(PortRun.class);
    if (port.isPresent()) {
      boolean holds = port.get().finding().regulated();
      return said(
          wish,
          holds ? Answer.YES : Answer.NO,
          holds ? "The port holds its volts under load." : "The port's volts sag under load.",
          Rests.MEASURED);
    }
    return claim(Subject.DC_PORT_REGULATED)
        .map(c -> printed(wish, Answer.YES, c))
        .orElseGet(() -> open(wish, "Load the 12 V port step by step."));
  }

  private Optional<Answered> inspected(MustHave wish, Point point) {
    return unit.newest(InspectionRun.class)
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
    Optional<SoakRun> soak = unit.newest(SoakRun.class).filter(s -> s.looks() > 1);
    if (soak.isPresent()) {
      return said(
          wish,
          soak.get().off().isPresent() ? Answer.NO : Answer.YES,
          soak.get().words(),
          Rests.SEEN);
    }
    return inspected(wish, Point.OUTPUTS_STAY)
        .orElseGet(() -> open(wish, "Leave a small load on it overnight."));
  }

  /** Out and in by what was measured or printed; half where only one way goes, or half as much. */
  private Answered usb(MustHave wish, double watts) {
    Optional<Figure> gave =
        unit.of(UsbRun.class)
            .flatMap(r -> r.port().contract().stream())
            .max((a, b) -> Double.compare(a.value(), b.value()));
    Optional<Figure> took =
        unit.of(ChargeRun.class)
            .filter(r -> r.setting().sources().equals(Set.of(ChargeSource.USB_C)))
            .flatMap(r -> r.finding().peakPower().stream())
            .max((a, b) -> Double.compare(a.value(), b.value()));
    Way out = way(gave, Subject.USB_C_POWER);
    Way in = way(took, Subject.USB_INPUT);
    if (!out.known() && !in.known()) {
      return open(wish, "Ask its USB-C port with a PD trigger, and charge through it.");
    }
    boolean outOk = out.watts() >= 0.97 * watts;
    boolean inOk = in.watts() >= 0.9 * watts;
    boolean some = out.watts() >= watts / 2 || in.watts() >= watts / 2;
    Answer answer = outOk && inOk ? Answer.YES : outOk || inOk || some ? Answer.HALF : Answer.NO;
    return said(
        wish,
        answer,
        "Out " + out.words() + ", in " + in.words() + ".",
        out.measured() || in.measured() ? Rests.MEASURED : Rests.PRINTED);
  }

  private record Way(double watts, boolean measured, boolean known) {
    String words() {
      return known
          ? Figures.plain(Math.rint(watts), Unit.WATT) + (measured ? "" : " printed")
          : "not known";
    }
  }

  private Way way(Optional<Figure> measured, Subject subject) {
    return measured
        .map(f -> new Way(f.value(), true, true))
        .or(() -> claim(subject).map(c -> new Way(c.figure(), false, true)))
        .orElse(new Way(0, false, false));
  }

  /** By what its starts and holds have shown, never by its label. */
  private Answered runs(MustHave wish, String appliance) {
    Draw draw = appliances.get(appliance);
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
