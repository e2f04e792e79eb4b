package org.wiseember.desktop.model;

import java.time.Clock;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.wiseember.bench.connect.LoadOff;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.DescriptionUnreadable;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.StillOn;
import org.wiseember.workbook.LoadsOn;
import org.wiseember.workbook.Workbook;

/** Loads that may still be on: after a run whose switch was lost, or a program that was killed. */
public final class LoadsLeftOn {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

  private final OpenWorkbook open;
  private final ReaderLook look;
  private final Clock clock;
  private final ObservableList<Load> loads = FXCollections.observableArrayList();

  /**
   * One of them.
   *
   * @param words what happened and what to do, for the person in front of it
   */
  public record Load(InstrumentDescription instrument, String words) {}

  LoadsLeftOn(OpenWorkbook open, ReaderLook look) {
    this.open = open;
    this.look = look;
    this.clock = open.clock();
  }

  public ObservableList<Load> loads() {
    return loads;
  }

  /** What an opened workbook still knows of; nothing where another program has it open. */
  List<Load> read(Workbook workbook) {
    List<Load> left = new ArrayList<>();
    if (workbook.readOnly()) {
      return left;
    }
    ZoneId zone = clock.getZone();
    for (LoadsOn.Kept kept : workbook.loadsOn().all()) {
      try {
        InstrumentDescription instrument = DescriptionJson.read(kept.instrument());
        left.add(
            new Load(
                instrument,
                "The program ended during "
                    + kept.runTitle()
                    + " ("
                    + DAY.format(kept.since().atZone(zone))
                    + ", "
                    + look.units().get().time(LocalTime.ofInstant(kept.since(), zone))
                    + ") while "
                    + instrument.name()
                    + " had a load on. It may still be on."));
      } catch (DescriptionUnreadable e) {
        workbook.loadsOn().forget(kept.instrument());
      }
    }
    return left;
  }

  /** After a run: what it could not switch off. */
  void after(List<StillOn> still) {
    for (StillOn s : still) {
      loads.removeIf(l -> l.instrument().equals(s.instrument()));
      loads.add(new Load(s.instrument(), s.words()));
    }
  }

  /** Tries to switch a load off, off the interface thread. */
  public void switchOff(Load load) {
    Thread thread =
        new Thread(
            () -> {
              Optional<StillOn> still = LoadOff.of(load.instrument());
              open.screen()
                  .later(
                      () -> {
                        if (still.isPresent()) {
                          after(List.of(still.get()));
                        } else {
                          isOff(load, load.instrument().name() + " says that its load is off.");
                        }
                      });
            },
            "switch off");
    thread.setDaemon(true);
    thread.start();
  }

  /** A person looked: it is off. */
  public void seenOff(Load load) {
    isOff(load, "");
  }

  private void isOff(Load load, String said) {
    loads.remove(load);
    open.background(
        () -> {
          open.workbook().orElseThrow().loadsOn().forget(DescriptionJson.write(load.instrument()));
          return said;
        },
        open::say);
  }
}
