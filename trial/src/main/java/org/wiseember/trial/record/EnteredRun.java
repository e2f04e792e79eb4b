package org.wiseember.trial.record;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Now;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.notes.NotedEntry;
import org.wiseember.core.notes.Notes;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesUnreadable;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.typed.Expected;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReading;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.core.uncertainty.MeterClassText;
import org.wiseember.trial.kind.Entered;
import org.wiseember.trial.kind.FromLabel;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.Workbook;

/**
 * A run that was made earlier, from what somebody noted of it.
 *
 * @param type which test it is of
 * @param title as shown
 * @param settings what it was made with, as far as that was noted
 * @param began when its clock shows 0; empty where no day was noted
 * @param zero time of the day at that, s since midnight; empty where none was noted
 * @param entries what was noted, in order
 * @param lines the same as a notebook keeps it
 * @param warnings what a reader of its figures has to know
 */
public record EnteredRun(
    TestType type,
    String title,
    RunSettings settings,
    Optional<LocalDateTime> began,
    OptionalDouble zero,
    List<NotedEntry> entries,
    List<Line> lines,
    List<Warning> warnings) {
  /** A load nobody named, W: a test wants one to be set up with, and it counts for nothing. */
  private static final double SOME_WATTS = 100;

  /** A test goes through so many loads at the most. */
  private static final int MOST_LOADS = 40;

  private static final DateTimeFormatter MINUTE =
      DateTimeFormatter.ofPattern("yyyy-MM-dd 'at' HH:mm", Locale.ROOT);

  /** Presses that say of an output that it is gone; which one a test asks for differs. */
  private static final Set<OperatorEvent> GONE =
      Set.of(OperatorEvent.TRIPPED, OperatorEvent.DROPPED_OUT, OperatorEvent.WENT_OFF);

  public EnteredRun {
    entries = List.copyOf(entries);
    lines = List.copyOf(lines);
    warnings = List.copyOf(warnings);
  }

  /** A line of its notebook with the readings in it. */
  public record Line(NotebookLine line, List<StoredReading> readings) {
    public Line {
      readings = List.copyOf(readings);
    }
  }

  /**
   * Understands notes of a test.
   *
   * @param known what it was set up with, as far as that was told elsewhere; it outweighs the head
   * @throws NotesUnreadable where they cannot be taken, with the line
   */
  public static EnteredRun of(TestType type, Label label, NotesFile file, Map<String, String> known)
      throws NotesUnreadable {
    NotesHead head = NotesHead.of(file.head());
    Map<String, String> particulars = new TreeMap<>(head.particulars());
    particulars.putAll(known);
    double meant = head.loadWatts() > 0 ? head.loadWatts() : label.ratedWatts().orElse(SOME_WATTS);
    TestSettings asked = type.kept(settings(head, label, List.of(meant), particulars));
    Notes notes =
        Notes.of(
            file,
            asked.typed(),
            Expected.nothing().rated(label.ratedWattHours().orElse(Double.NaN)));
    List<Double> loads = loads(notes);
    RunSettings settings =
        settings(head, label, loads.isEmpty() ? List.of(meant) : loads, particulars);
    TestSettings test = type.kept(settings);
    List<Line> lines = new Reading(test, head.loadWatts()).lines(notes);
    particulars.putAll(Entered.made(notes.began().map(t -> day(t, notes.zero().isPresent()))));
    return new EnteredRun(
        type,
        loads.isEmpty() && !(head.loadWatts() > 0) ? type.words() : test.title(),
        settings.with(classes(head, lines), particulars),
        notes.began(),
        notes.zero(),
        notes.entries(),
        lines,
        notes.warnings());
  }

  private static String day(LocalDateTime began, boolean timeOfDay) {
    return timeOfDay ? began.format(MINUTE) : began.toLocalDate().toString();
  }

  private static RunSettings settings(
      NotesHead head, Label label, List<Double> loads, Map<String, String> particulars) {
    return new RunSettings(
        head.loadWatts(),
        FromLabel.volts(label),
        Map.of(),
        Map.of(),
        RunSettings.Source.ENTERED,
        0,
        List.of(),
        loads,
        particulars);
  }

  /** The loads that were put on, as they were read first: what was meant is not what was drawn. */
  private static List<Double> loads(Notes notes) {
    List<Double> loads = new ArrayList<>();
    List<NotedEntry> entries = notes.entries();
    for (int i = 0; i < entries.size(); i++) {
      if (entries.get(i).said().press().filter(OperatorEvent.LOAD_ON::equals).isPresent()) {
        OptionalDouble watts = wattsOf(entries, i);
        boolean more = loads.size() < MOST_LOADS;
        if (more && watts.isPresent() && !loads.contains(watts.getAsDouble())) {
          loads.add(watts.getAsDouble());
        }
      }
    }
    return loads;
  }

  /** The first watts that were read of a load, up to the next press. */
  private static OptionalDouble wattsOf(List<NotedEntry> entries, int putOn) {
    for (int i = putOn; i < entries.size(); i++) {
      if (i > putOn && entries.get(i).said().press().isPresent()) {
        break;
      }
      for (TypedReading r : entries.get(i).said().readings()) {
        if (r.kind() == TypedKind.POWER && r.value() > 0) {
          return OptionalDouble.of(r.value());
        }
      }
    }
    return OptionalDouble.empty();
  }

  /** The classes that were told, for every channel that was read off a meter. */
  private static Map<Channel, MeterClass> classes(NotesHead head, List<Line> lines) {
    Map<Channel, Double> steps = new EnumMap<>(Channel.class);
    lines.stream()
        .flatMap(l -> l.readings().stream())
        .filter(r -> r.meter().equals(StoredReading.METER))
        .forEach(r -> steps.merge(r.channel(), r.resolution(), Math::min));
    Map<Channel, MeterClass> classes = new EnumMap<>(Channel.class);
    steps.forEach(
        (channel, step) -> {
          Optional<MeterClassText> told =
              channel.key().startsWith("dc_") ? head.direct().or(head::meter) : head.meter();
          told.ifPresent(t -> classes.put(channel, t.at(channel.unit(), step)));
        });
    return classes;
  }

  /** Goes through the notes as the test goes through its steps. */
  private static final class Reading {
    private final ByHand script;
    private final double loadWatts;
    private final boolean wattsAtOutlet;

    Reading(TestSettings test, double loadWatts) {
      this.script = test.byHand().writtenAfterwards();
      this.loadWatts = loadWatts;
      this.wattsAtOutlet = test.typed().contains(TypedKind.POWER);
    }

    List<Line> lines(Notes notes) {
      List<Line> lines = new ArrayList<>();
      List<NotedEntry> entries = notes.entries();
      for (int i = 0; i < entries.size(); i++) {
        NotedEntry e = entries.get(i);
        Optional<OperatorEvent> press = e.said().press().map(this::asked);
        double subject = press.isPresent() ? subject(press.get(), entries, i) : Double.NaN;
        NotebookLine line =
            new NotebookLine(
                0, e.when(), press, subject, ReaderUnits.quoted(e.text()), e.said().who());
        line.pressed().ifPresent(script::press);
        lines.add(new Line(line, StoredReading.in(e.said(), e.when().at(), StoredReading.METER)));
      }
      return lines;
    }

    /** What the step it is in asks for, where that says the same. */
    private OperatorEvent asked(OperatorEvent said) {
      Optional<Now> now = script.now();
      return now.filter(n -> !n.takes(said)).isPresent() && GONE.contains(said)
          ? GONE.stream().filter(p -> now.get().takes(p)).findFirst().orElse(said)
          : said;
    }

    /** The load that was put on is what was read of it, and not what was meant. */
    private double subject(OperatorEvent press, List<NotedEntry> entries, int at) {
      double asked = script.now().map(Now::subject).orElse(Double.NaN);
      double meant = Double.isNaN(asked) && loadWatts > 0 ? loadWatts : asked;
      if (press != OperatorEvent.LOAD_ON || !wattsAtOutlet) {
        return meant;
      }
      return wattsOf(entries, at).orElse(meant);
    }
  }

  /**
   * Puts it into a workbook: all of it, or nothing.
   *
   * @param now when it began where no day was noted
   * @return its key
   */
  public long into(Workbook workbook, long unitId, ZoneId zone, Instant now) {
    long[] id = new long[1];
    workbook.allOrNothing(
        () -> {
          id[0] =
              workbook
                  .runs()
                  .add(
                      new NewRun(
                          RunOf.unit(unitId),
                          type.key(),
                          title,
                          began.map(t -> t.atZone(zone).toInstant()).orElse(now),
                          settings),
                      Run.State.DONE,
                      "Made earlier, and entered from notes.",
                      Trace.empty(),
                      warnings.stream().map(w -> new Event(0, w.code(), w.message())).toList());
          for (Line line : lines) {
            workbook.notebook().keep(id[0], line.line(), line.readings());
          }
        });
    return id[0];
  }

  /** What was pressed, in order. */
  public List<TimedOperatorEvent> pressed() {
    return lines.stream().flatMap(l -> l.line().pressed().stream()).toList();
  }

  /** Every reading, in order. */
  public List<StoredReading> readings() {
    return lines.stream().flatMap(l -> l.readings().stream()).toList();
  }
}
