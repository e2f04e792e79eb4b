package org.wiseember.workbook.plan;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * What a tester noted for a campaign: which units, when somebody is there, what was chosen by hand.
 *
 * @param units keys of those in it; none for the one that is looked at
 * @param present every day, in order
 * @param choices by key of the unit and of the test
 * @param pins moments tests begin at, by key of the unit and of the test
 * @param away times a thing is not there
 * @param charges last read off a unit, by its key
 * @param begun charge or run-down between tests that was last begun on a unit, by its key
 */
public record CampaignNotes(
    List<Long> units,
    List<Present> present,
    Map<Long, Map<String, Choice>> choices,
    Map<Long, Map<String, Instant>> pins,
    List<Away> away,
    Map<Long, Charge> charges,
    Map<Long, Begun> begun) {
  /** What becomes of a test by hand. */
  public enum Choice {
    ADDED,
    DROPPED,
    /** It is made somewhere else. */
    ELSEWHERE
  }

  /** Somebody is there every day from one time to another; to midnight where that is no later. */
  public record Present(LocalTime from, LocalTime to) {
    public Present {
      Objects.requireNonNull(from);
      Objects.requireNonNull(to);
    }
  }

  /** One of a kind is not there. */
  public record Away(String thing, Instant from, Instant to) {
    public Away {
      Objects.requireNonNull(from);
      Objects.requireNonNull(to);
    }
  }

  /** What a unit showed, %. */
  public record Charge(double percent, Instant at) {
    public Charge {
      Objects.requireNonNull(at);
      percent = shown(percent);
    }
  }

  /**
   * A charge or a run-down between tests that somebody began.
   *
   * @param from % it had
   * @param to % it is meant to have
   * @param ends when it should be over, or was said to be
   * @param brokenOff whether it was ended before it came there, so that nobody knows how full it is
   */
  public record Begun(double from, double to, Instant at, Instant ends, boolean brokenOff) {
    public Begun {
      Objects.requireNonNull(at);
      Objects.requireNonNull(ends);
      from = shown(from);
      to = shown(to);
    }

    /** The same over at a moment, having come where it should. */
    public Begun over(Instant now) {
      return new Begun(from, to, at, now, false);
    }

    /** The same ended too soon. */
    public Begun brokenOff(Instant now) {
      return new Begun(from, to, at, now, true);
    }

    /**
     * The same from a reading on the way: it goes on as quickly as it was meant to.
     *
     * @return empty where the reading says that it is there already
     */
    public Optional<Begun> after(Charge read) {
      double left = (to - read.percent()) / (to - from);
      if (brokenOff || !(left > 0)) {
        return Optional.empty();
      }
      Duration whole = Duration.between(at, ends);
      return Optional.of(
          new Begun(
              read.percent(),
              to,
              read.at(),
              read.at().plusMillis(Math.round(left * whole.toMillis())),
              false));
    }
  }

  /** A display shows 0 to 100 %; where nothing was read there is no note of it. */
  private static double shown(double percent) {
    if (Double.isNaN(percent)) {
      throw new IllegalArgumentException("no charge was read");
    }
    return Math.max(0, Math.min(100, percent));
  }

  /** What one begins with: the waking hours. */
  public static final CampaignNotes USUAL =
      new CampaignNotes(
          List.of(),
          List.of(new Present(LocalTime.of(8, 0), LocalTime.of(22, 0))),
          Map.of(),
          Map.of(),
          List.of(),
          Map.of(),
          Map.of());

  public CampaignNotes {
    units = List.copyOf(units);
    present = List.copyOf(present);
    choices = new LinkedHashMap<>(choices);
    pins = new LinkedHashMap<>(pins);
    away = List.copyOf(away);
    charges = new LinkedHashMap<>(charges);
    begun = new LinkedHashMap<>(begun);
  }

  /** The same with these units. */
  public CampaignNotes of(List<Long> others) {
    return new CampaignNotes(others, present, choices, pins, away, charges, begun);
  }

  /** The same with somebody there at these times. */
  public CampaignNotes present(List<Present> others) {
    return new CampaignNotes(units, others, choices, pins, away, charges, begun);
  }

  /** What was chosen for a test; empty for what the program proposes. */
  public Optional<Choice> choice(long unit, String test) {
    return Optional.ofNullable(choices.getOrDefault(unit, Map.of()).get(test));
  }

  /** The same with another choice; empty goes back to what the program proposes. */
  public CampaignNotes choosing(long unit, String test, Optional<Choice> choice) {
    return new CampaignNotes(
        units, present, with(choices, unit, test, choice), pins, away, charges, begun);
  }

  /** When a test is pinned to; empty for none. */
  public Optional<Instant> pin(long unit, String test) {
    return Optional.ofNullable(pins.getOrDefault(unit, Map.of()).get(test));
  }

  /** The same with a test pinned to a moment; empty takes the pin out. */
  public CampaignNotes pinning(long unit, String test, Optional<Instant> at) {
    return new CampaignNotes(
        units, present, choices, with(pins, unit, test, at), away, charges, begun);
  }

  private static <V> Map<Long, Map<String, V>> with(
      Map<Long, Map<String, V>> all, long unit, String test, Optional<V> value) {
    Map<Long, Map<String, V>> next = new LinkedHashMap<>(all);
    Map<String, V> own = new LinkedHashMap<>(next.getOrDefault(unit, Map.of()));
    value.ifPresentOrElse(v -> own.put(test, v), () -> own.remove(test));
    next.put(unit, own);
    if (own.isEmpty()) {
      next.remove(unit);
    }
    return next;
  }

  /** The same with a thing away for a time. */
  public CampaignNotes lacking(Away more) {
    List<Away> next = new ArrayList<>(away);
    next.add(more);
    return new CampaignNotes(units, present, choices, pins, next, charges, begun);
  }

  /** The same with that thing back. */
  public CampaignNotes back(Away gone) {
    return new CampaignNotes(
        units,
        present,
        choices,
        pins,
        away.stream().filter(a -> !a.equals(gone)).toList(),
        charges,
        begun);
  }

  /** The same with the charge a unit shows. */
  public CampaignNotes charged(long unit, Charge shown) {
    Map<Long, Charge> next = new LinkedHashMap<>(charges);
    next.put(unit, shown);
    return new CampaignNotes(units, present, choices, pins, away, next, begun);
  }

  /** The same with what was begun on a unit. */
  public CampaignNotes begun(long unit, Begun what) {
    Map<Long, Begun> next = new LinkedHashMap<>(begun);
    next.put(unit, what);
    return new CampaignNotes(units, present, choices, pins, away, charges, next);
  }
}
