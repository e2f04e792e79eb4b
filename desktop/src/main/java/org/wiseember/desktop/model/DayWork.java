package org.wiseember.desktop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.wiseember.core.runtime.Day;
import org.wiseember.trial.runtime.DayOnUnit;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Days;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.day.DayFile;
import org.wiseember.workbook.day.DayJson;
import org.wiseember.workbook.day.WatchJson;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.TextFile;
import org.wiseember.workbook.strict.JsonUnreadable;

/**
 * The days that were laid out, and what the chosen one comes to: on the chosen unit first, then on
 * those it is compared with.
 */
public final class DayWork {
  /** Most people ask about an evening or a day and a night. */
  private static final double USUAL_HOURS = 24;

  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final Judgements judgements;
  private final BesideWork beside;
  private final Clock clock;
  private final Edits edits;
  private final ObservableList<StoredDay> days = FXCollections.observableArrayList();
  private final ObjectProperty<StoredDay> chosen = new SimpleObjectProperty<>();
  private final ObjectProperty<DayOutcome> outcome = new SimpleObjectProperty<>();

  private final AtomicLong asked = new AtomicLong();

  DayWork(
      OpenWorkbook open, UnitShelf shelf, Navigation at, Judgements judgements, BesideWork beside) {
    this.open = open;
    this.judgements = judgements;
    this.shelf = shelf;
    this.at = at;
    this.beside = beside;
    this.clock = open.clock();
    this.edits = open.edits();
    shelf.chosen().addListener((o, was, is) -> workOut());
  }

  /** Every day, in the order they were laid out. */
  public ObservableList<StoredDay> days() {
    return days;
  }

  /** The day on show; null where there is none. */
  public ReadOnlyObjectProperty<StoredDay> chosen() {
    return chosen;
  }

  /** What it comes to; null until that is worked out. */
  public ReadOnlyObjectProperty<DayOutcome> outcome() {
    return outcome;
  }

  /** Shows what a workbook has that was just opened. */
  void show(Days.All all) {
    days.setAll(all.days());
    all.wrong().forEach(open::say);
    choose(days.isEmpty() ? null : days.get(0));
  }

  /** Puts another day on show. */
  public void choose(StoredDay day) {
    chosen.set(day);
    workOut();
  }

  /** Lays out a new day, from the next whole hour on. */
  public void add() {
    LocalTime now = LocalTime.now(clock).truncatedTo(ChronoUnit.HOURS).plusHours(1);
    add(Day.empty("Day " + (days.size() + 1), now, USUAL_HOURS), List.of(), "Day added");
  }

  /** Lays out the day on show once more, to change it. */
  public void copy() {
    StoredDay day = chosen.get();
    if (day != null) {
      add(day.day().titled(day.day().title() + ", again"), day.units(), "Day copied");
    }
  }

  private void add(Day day, List<Long> units, String what) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> open.workbook().orElseThrow().days().add(day, units),
        kept -> {
          edits.did(what, () -> remove(kept, true));
          days.add(kept);
          choose(kept);
        });
  }

  /** Takes the day on show away; undo puts it back. */
  public void remove() {
    StoredDay day = chosen.get();
    if (day == null || open.refuseWhenReadOnly()) {
      return;
    }
    edits.did(day.day().title() + " deleted", () -> remove(day, false));
    remove(day, true);
    open.say(day.day().title() + " is deleted. Ctrl+Z puts it back.");
  }

  private void remove(StoredDay day, boolean away) {
    int at = place(day.id());
    if (away && at >= 0) {
      days.remove(at);
      if (chosen.get() != null && chosen.get().id() == day.id()) {
        choose(days.isEmpty() ? null : days.get(Math.min(at, days.size() - 1)));
      }
    } else if (!away && at < 0) {
      days.add(day);
      choose(day);
    }
    open.background(
        () -> {
          open.workbook().orElseThrow().days().removed(day.id(), away);
          return day;
        },
        done -> {});
  }

  private int place(long id) {
    for (int i = 0; i < days.size(); i++) {
      if (days.get(i).id() == id) {
        return i;
      }
    }
    return -1;
  }

  /**
   * Changes the day on show; undo returns to the one before.
   *
   * @param what undoing it will say
   */
  public void change(Day next, String what) {
    StoredDay before = chosen.get();
    if (before != null && !next.equals(before.day())) {
      change(before, before.with(next), what);
    }
  }

  /** Compares with another unit, or no longer. */
  public void beside(long unitId, boolean compared) {
    StoredDay before = chosen.get();
    if (before == null || before.units().contains(unitId) == compared) {
      return;
    }
    List<Long> units = new ArrayList<>(before.units());
    if (compared) {
      units.add(unitId);
    } else {
      units.remove(unitId);
    }
    change(before, before.on(units), "Units compared changed");
  }

  private void change(StoredDay before, StoredDay next, String what) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    edits.did(what, () -> keep(before));
    keep(next);
  }

  private void keep(StoredDay next) {
    int at = place(next.id());
    if (at >= 0) {
      days.set(at, next);
      choose(next);
    }
    open.background(
        () -> {
          open.workbook().orElseThrow().days().keep(next);
          return next;
        },
        done -> {});
  }

  /** The day begins now: what people ask when the power has failed. */
  public void fromNow() {
    StoredDay day = chosen.get();
    if (day != null) {
      LocalTime now = LocalTime.now(clock).truncatedTo(ChronoUnit.MINUTES);
      change(day.day().from(now), "Beginning of the day changed");
    }
  }

  private void workOut() {
    long mine = asked.incrementAndGet();
    StoredDay day = chosen.get();
    Judgement first = shelf.chosen().get();
    if (day == null || first == null) {
      outcome.set(null);
      return;
    }
    Set<Long> there = shelf.places().stream().map(p -> p.unit().id()).collect(Collectors.toSet());
    List<Long> others =
        day.units().stream().filter(id -> id != first.unit().id() && there.contains(id)).toList();
    boolean guarded = shelf.guardBand().get();
    open.background(
        // Only the newest question is answered.
        () -> mine == asked.get() ? outcome(day.day(), first, others, guarded) : null,
        made -> {
          if (mine == asked.get()) {
            outcome.set(made);
          }
        });
  }

  private DayOutcome outcome(Day day, Judgement first, List<Long> others, boolean guarded) {
    Workbook workbook = open.workbook().orElseThrow();
    List<Judgement> units = new ArrayList<>(List.of(first));
    for (long id : others) {
      workbook
          .units()
          .byId(id)
          .map(unit -> judgements.of(workbook, unit, guarded))
          .ifPresent(units::add);
    }
    return DayOutcome.of(day, units);
  }

  /** Takes in a file: a day beside those there are, or what an appliance was watched to take. */
  public void take(Path file) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> {
          try {
            String text = TextFile.read(file, DayJson.LONGEST, "day");
            if (WatchJson.tells(text)) {
              WatchJson.Named named = WatchJson.read(text);
              return Optional.<Runnable>of(() -> taken(named));
            }
            DayFile day = DayJson.read(text);
            return Optional.<Runnable>of(() -> taken(day, file));
          } catch (JsonUnreadable e) {
            open.say(file.getFileName() + ": " + e.getMessage());
          } catch (LogUnreadable e) {
            open.say(e.getMessage());
          } catch (IOException e) {
            open.say(file.getFileName() + " cannot be read. Check the disk it lies on.");
          }
          return Optional.<Runnable>empty();
        },
        read -> read.ifPresent(Runnable::run));
  }

  private void taken(DayFile read, Path file) {
    String name = String.valueOf(file.getFileName()).replaceFirst("\\.json$", "");
    Day day = read.day();
    add(day.title().isBlank() ? day.titled(name) : day, List.of(), "Day imported");
    at.stage().set(StageName.RUN_TIME);
  }

  private void taken(WatchJson.Named named) {
    beside.keepWatch(named.name(), named.watch());
    open.say("The watch of " + named.name() + " is imported. Ctrl+Z removes it.");
  }

  /** The day on show as a file another workbook reads, with what is known of the chosen unit. */
  public String json() {
    Optional<DayOnUnit> unit = Optional.ofNullable(outcome.get()).flatMap(DayOutcome::first);
    return DayJson.write(chosen.get().day(), unit.map(u -> u.measured().supply()));
  }
}
