package org.wiseember.workbook.pack;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.label.Label;
import org.wiseember.workbook.Instruments;
import org.wiseember.workbook.Origin;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;

/**
 * Brings what several benches of one lab found onto one shelf. A unit of the same name and label is
 * the same unit; a run that is there already is known by what was read in it and does not come
 * twice. Beside units come their instruments and days; what was noted for plan, line-up and report
 * stays that of the workbook one merges into.
 *
 * @param units that were added
 * @param runs that were added
 * @param known runs that were there already
 * @param instruments that were added
 * @param days that were added
 */
public record Merge(int units, int runs, int known, int instruments, int days) {
  /** What came, in a sentence. */
  public String words() {
    return units
        + (units == 1 ? " unit, " : " units, ")
        + runs
        + (runs == 1 ? " run, " : " runs, ")
        + instruments
        + (instruments == 1 ? " instrument and " : " instruments and ")
        + days
        + (days == 1 ? " day" : " days")
        + " came; "
        + known
        + (known == 1 ? " run was" : " runs were")
        + " there already.";
  }

  /**
   * Takes another workbook in, whole or not at all. The other is only read.
   *
   * @throws WorkbookException in one sentence, when something of it cannot be read
   */
  public static Merge of(Workbook into, Workbook from) {
    Merging merging = new Merging(into, from);
    into.allOrNothing(merging::run);
    return new Merge(merging.units, merging.runs, merging.known, merging.instruments, merging.days);
  }

  private static final class Merging {
    private final Workbook into;
    private final Workbook from;
    private int units;
    private int runs;
    private int known;
    private int instruments;
    private int days;

    Merging(Workbook into, Workbook from) {
      this.into = into;
      this.from = from;
    }

    void run() {
      Map<Long, Long> places = new HashMap<>();
      for (TestedUnit unit : from.units().all()) {
        Optional<TestedUnit> same = same(unit);
        Optional<Origin> origin = unit.origin();
        if (origin.isPresent() && same.isPresent()) {
          // A package that both took in is the same to the last digit.
          places.put(unit.id(), same.get().id());
          known += from.runs().of(unit.id()).size();
          continue;
        }
        long id = same.map(TestedUnit::id).orElseGet(() -> added(unit));
        places.put(unit.id(), id);
        runs(unit, id);
        origin.ifPresent(o -> into.units().origin(id, o));
      }
      instruments();
      days(places);
    }

    private Optional<TestedUnit> same(TestedUnit unit) {
      return into.units().all().stream()
          .filter(
              u ->
                  unit.origin().isPresent()
                      ? u.origin()
                          .map(Origin::fingerprint)
                          .equals(unit.origin().map(Origin::fingerprint))
                      : u.origin().isEmpty()
                          && u.name().equals(unit.name())
                          && u.label().text().equals(unit.label().text()))
          .findFirst();
    }

    private long added(TestedUnit unit) {
      units++;
      long id = into.units().add(unit.name()).id();
      Label label = unit.label();
      into.units().label(id, label.text(), label.byHand());
      UnitFacts facts = from.units().facts(unit.id());
      into.units().facts(id, facts);
      return id;
    }

    private void runs(TestedUnit unit, long id) {
      try {
        Set<String> there = new HashSet<>();
        for (Run run : into.runs().of(id)) {
          there.add(RunFingerprint.of(into, run));
        }
        for (Run run : from.runs().of(unit.id())) {
          if (run.state() == Run.State.RUNNING || !there.add(RunFingerprint.of(from, run))) {
            known++;
          } else {
            copy(run, id);
            runs++;
          }
        }
      } catch (IOException inMemory) {
        throw new UncheckedIOException(inMemory);
      }
    }

    private void copy(Run run, long unit) {
      long id = RunPackage.Unpacked.of(from, run).into(into, unit);
      from.photos().of(run.id()).forEach(photo -> into.photos().keep(id, photo));
    }

    private void instruments() {
      Set<String> there = new HashSet<>();
      into.instruments().all().forEach(i -> there.add(i.description()));
      for (Instruments.Kept kept : from.instruments().all()) {
        if (there.add(kept.description())) {
          long id = into.instruments().add(kept.description());
          into.instruments().checkedOn(id, from.instruments().checkedOn(kept.id()));
          instruments++;
        }
      }
    }

    private void days(Map<Long, Long> places) {
      List<StoredDay> there = into.days().all().days();
      for (StoredDay day : from.days().all().days()) {
        if (there.stream().noneMatch(d -> d.day().equals(day.day()))) {
          List<Long> beside = new ArrayList<>();
          day.units().stream().filter(places::containsKey).map(places::get).forEach(beside::add);
          into.days().add(day.day(), beside);
          days++;
        }
      }
    }
  }
}
