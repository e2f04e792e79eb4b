package org.wiseember.trial.record;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesKey;
import org.wiseember.core.notes.NotesUnreadable;
import org.wiseember.core.typed.TypedNumber;
import org.wiseember.core.uncertainty.MeterClassText;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.RunOption;
import org.wiseember.trial.kind.StartCharge;

/**
 * What the head of notes tells of a run.
 *
 * @param loadWatts that was meant, W; 0 where nothing is said
 * @param meter its class
 * @param direct class of the meter on the DC side
 * @param particulars what it was set up with, by name
 */
record NotesHead(
    double loadWatts,
    Optional<MeterClassText> meter,
    Optional<MeterClassText> direct,
    Map<String, String> particulars) {
  private static final double MOST_LOAD = 1e6;

  /**
   * Reads it.
   *
   * @throws NotesUnreadable where a value is none, with its line
   */
  static NotesHead of(Map<NotesKey, NotesFile.Value> head) throws NotesUnreadable {
    double load = 0;
    Optional<MeterClassText> meter = Optional.empty();
    Optional<MeterClassText> direct = Optional.empty();
    Map<String, String> particulars = new TreeMap<>();
    for (Map.Entry<NotesKey, NotesFile.Value> e : head.entrySet()) {
      String text = e.getValue().text();
      switch (e.getKey()) {
        case DATE -> {}
        case METER -> meter = Optional.of(meter(e));
        case DC_METER -> direct = Optional.of(meter(e));
        case LOAD -> load = load(e);
        case FROM ->
            particulars.putAll(
                StartCharge.read(text).orElseThrow(() -> refused(e, StartCharge.TAKES)));
        case PANEL, NOTE -> particulars.put(e.getKey().key(), text);
        case SOURCE, TESTER, DISTANCE -> particulars.putAll(option(e));
      }
    }
    return new NotesHead(load, meter, direct, particulars);
  }

  private static MeterClassText meter(Map.Entry<NotesKey, NotesFile.Value> e)
      throws NotesUnreadable {
    return MeterClassText.read(e.getValue().text())
        .orElseThrow(() -> refused(e, "a class such as 1 % or 0.5 % + 2 digits"));
  }

  private static double load(Map.Entry<NotesKey, NotesFile.Value> e) throws NotesUnreadable {
    return TypedNumber.of(e.getValue().text())
        .map(n -> n.unit().equalsIgnoreCase("kW") ? n.value() * 1000 : n.value())
        .filter(w -> w > 0 && w <= MOST_LOAD)
        .filter(w -> e.getValue().text().strip().matches("(?i).*(\\d|\\d ?k?w)"))
        .orElseThrow(() -> refused(e, "watts, such as 400 W"));
  }

  private static Map<String, String> option(Map.Entry<NotesKey, NotesFile.Value> e)
      throws NotesUnreadable {
    RunOption option =
        AllTests.list().stream()
            .flatMap(t -> t.declaration().options().stream())
            .filter(o -> o.name().equals(e.getKey().key()))
            .findFirst()
            .orElseThrow();
    return option.read().apply(e.getValue().text()).orElseThrow(() -> refused(e, option.takes()));
  }

  private static NotesUnreadable refused(Map.Entry<NotesKey, NotesFile.Value> e, String takes) {
    return NotesUnreadable.header(
        e.getValue().line(),
        e.getKey().key()
            + " takes "
            + takes
            + ", not “"
            + e.getValue().text().replaceAll("\\p{Cntrl}", "?")
            + "”.");
  }
}
