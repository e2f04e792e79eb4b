package org.wiseember.core.runtime;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * What a unit was seen to hold and to start, and what tripped it; and what follows of a load nobody
 * tried on it. What was neither held nor tripped is open: the label settles nothing here.
 *
 * @param loads that were put on and held
 * @param starts that were tried
 */
public record Endured(List<Load> loads, List<Start> starts) {
  /** Nobody tried anything. */
  public static final Endured NOTHING = new Endured(List.of(), List.of());

  /** Held for so long it is held for good, s: what labels mean by continuous. */
  public static final double FOR_GOOD = 600;

  /** Starts scatter by a tenth from one to the next; common practice, no published source. */
  private static final double SCATTER = 0.1;

  /** So many starts alike show what one alone does not. */
  private static final int SEVERAL = 3;

  /**
   * A load that was put on.
   *
   * @param watts drawn, W
   * @param u95 of the watts, W
   * @param seconds until it tripped or was taken off, s
   */
  public record Load(double watts, double u95, double seconds, boolean tripped) {}

  /**
   * A start that was tried.
   *
   * @param va over one cycle, VA
   * @param u95 of it, VA
   * @param went whether it ran
   */
  public record Start(double va, double u95, boolean went) {}

  /** How sure one is of a load, the worst first. */
  public enum Call {
    TRIPS("trips"),
    OPEN("open"),
    HOLDS("holds");

    private final String words;

    Call(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * What follows.
   *
   * @param reason one sentence, what it rests on or what is missing
   */
  public record Answer(Call call, String reason) {}

  public Endured {
    loads = List.copyOf(loads);
    starts = List.copyOf(starts);
  }

  /**
   * Whether it holds so many watts for so long. What was held at a heavier load is held at this
   * one; what tripped sooner at a lighter one trips here.
   *
   * @param seconds how long they are asked
   */
  public Answer running(double watts, double seconds) {
    Optional<Load> held = held(watts, seconds);
    Optional<Load> tripped = tripped(watts, seconds);
    if (held.isPresent() == tripped.isPresent()) {
      String most =
          loads.stream()
              .filter(l -> !l.tripped())
              .max(Comparator.comparingDouble(Load::watts))
              .map(l -> " The most it held is " + words(l) + ".")
              .orElse("");
      return new Answer(
          Call.OPEN,
          held.isPresent()
              ? "It held more and tripped at less: two tries do not agree."
              : "Nobody tried "
                  + Figures.plain(Math.rint(watts), Unit.WATT)
                  + " for "
                  + Figures.duration(seconds)
                  + "."
                  + most);
    }
    return held.map(l -> new Answer(Call.HOLDS, "It held " + words(l) + "."))
        .orElseGet(
            () -> new Answer(Call.TRIPS, "It tripped at " + words(tripped.orElseThrow()) + "."));
  }

  /** The same without its reason. */
  Call call(double watts, double seconds) {
    boolean held = held(watts, seconds).isPresent();
    return held == tripped(watts, seconds).isPresent() ? Call.OPEN : held ? Call.HOLDS : Call.TRIPS;
  }

  /** The lightest load that shows it holds so much for so long. */
  private Optional<Load> held(double watts, double seconds) {
    return loads.stream()
        .filter(l -> l.watts() - l.u95() >= watts)
        .filter(l -> l.seconds() >= Math.min(seconds, l.tripped() ? seconds : FOR_GOOD))
        .min(Comparator.comparingDouble(Load::watts));
  }

  /** The heaviest load that shows it does not. */
  private Optional<Load> tripped(double watts, double seconds) {
    return loads.stream()
        .filter(l -> l.tripped() && l.watts() + l.u95() <= watts && l.seconds() <= seconds)
        .max(Comparator.comparingDouble(Load::watts));
  }

  private static String words(Load l) {
    return Figures.plain(Math.rint(l.watts()), Unit.WATT)
        + (l.tripped() ? " after " : " for ")
        + Figures.duration(l.seconds());
  }

  /**
   * Whether it starts something.
   *
   * @param va asked of it with all that runs, VA
   * @param share95 how sure that is, a share of it at 95 %
   */
  public Answer starting(double va, double share95) {
    double high = va * (1 + share95);
    double low = va * (1 - share95);
    List<Start> went = starts.stream().filter(s -> s.went() && s.va() - s.u95() >= high).toList();
    List<Start> failed = starts.stream().filter(s -> !s.went() && s.va() + s.u95() <= low).toList();
    boolean disagree =
        starts.stream()
            .filter(s -> !s.went())
            .anyMatch(f -> went.stream().anyMatch(w -> f.va() <= w.va()));
    boolean sureHeld =
        went.size() >= SEVERAL || went.stream().anyMatch(s -> s.va() >= high * (1 + SCATTER));
    boolean sureFailed =
        failed.size() >= SEVERAL || failed.stream().anyMatch(s -> s.va() <= low * (1 - SCATTER));
    boolean lighterFailed = starts.stream().anyMatch(s -> !s.went() && s.va() < high);
    boolean heavierWent = starts.stream().anyMatch(s -> s.went() && s.va() > low);
    if (sureHeld && !disagree && !lighterFailed) {
      return new Answer(
          Call.HOLDS,
          went.size() + " of " + went.size() + " starts of that or more went, " + tried() + ".");
    }
    if (sureFailed && !heavierWent) {
      return new Answer(
          Call.TRIPS, failed.size() + " starts of less than that failed, " + tried() + ".");
    }
    return new Answer(
        Call.OPEN,
        starts.isEmpty()
            ? "Nobody tried a start on it."
            : "Its starts do not settle it, " + tried() + ".");
  }

  /** What was tried, as a clause. */
  private String tried() {
    String went =
        starts.stream()
            .filter(Start::went)
            .max(Comparator.comparingDouble(Start::va))
            .map(s -> "the hardest that went " + va(s))
            .orElse("none went");
    String failed =
        starts.stream()
            .filter(s -> !s.went())
            .min(Comparator.comparingDouble(Start::va))
            .map(s -> ", the gentlest that failed " + va(s))
            .orElse("");
    return went + failed;
  }

  private static String va(Start s) {
    return Figures.plain(Math.rint(s.va()), Unit.VOLT_AMPERE);
  }
}
