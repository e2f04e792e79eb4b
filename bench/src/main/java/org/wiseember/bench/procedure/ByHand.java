package org.wiseember.bench.procedure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Frame;

/**
 * A test made by hand, one thing at a time: each step says what to do and which presses lead on
 * from it. It knows nothing but what is pressed; what is read is typed and kept beside.
 *
 * <pre>{@code
 * ByHand.of("overload", cautions)
 *     .step("on", "Put 1 500 W on.").about(1500).on(OperatorEvent.LOAD_ON, "hold")
 *     .step("hold", "Hold 1 500 W.").clock("held for")
 *         .on(OperatorEvent.TRIPPED, "rest").on(OperatorEvent.TAKEN_OFF, "rest")
 *     .step("rest", "All loads off.").last(OperatorEvent.DONE, "All loads tried.")
 *     .build();
 * }</pre>
 */
public final class ByHand extends PhasedProcedure {
  /** USB ports; kept with the run. */
  public static final String USB = "usb";

  /** Two units joined for 240 V; kept with the run. */
  public static final String TWO_LEGS = "two-legs";

  /** The presses that matter fit on the keys F6 to F9. */
  public static final int MOST_PRESSES = 4;

  private final String kind;
  private final List<DoNow> steps;
  private final Map<String, Step> script;
  private final int parts;
  private Step at;
  private boolean written;
  private double since;
  private final List<Notice> begun = new ArrayList<>();

  private ByHand(Script made) {
    super(Phase.MEASURING);
    this.kind = made.kind;
    this.steps = made.steps;
    this.script = made.checked();
    this.parts = script.values().stream().mapToInt(s -> s.part).max().orElse(1);
    fromTheStart();
  }

  /**
   * Begins a script.
   *
   * @param kind kept with the run
   * @param steps what to see to beside it, with cautions
   */
  public static Script of(String kind, List<DoNow> steps) {
    return new Script(kind, steps);
  }

  /**
   * Where a press leads.
   *
   * @param to the step; empty for the end
   * @param ending words for the end
   * @param whole whether the test came to its own end
   */
  private record Way(String to, String ending, boolean whole) {}

  /** What marks the beginning of a step for the findings. */
  private record Begins(String code, String detail, String words) {}

  /** One thing to do. */
  private static final class Step {
    private final String name;
    private final String what;
    private final int part;
    private final Map<OperatorEvent, Way> ways = new LinkedHashMap<>();
    private String how = "";
    private String clock = "";
    private double subject = Double.NaN;
    private boolean skippable;
    private Begins begins;

    Step(String name, String what, int part) {
      this.name = name;
      this.what = what;
      this.part = part;
    }
  }

  /** A script while it is written: each step follows the one before it. */
  public static final class Script {
    private final String kind;
    private final List<DoNow> steps;
    private final List<Step> written = new ArrayList<>();
    private int part = 1;

    private Script(String kind, List<DoNow> steps) {
      this.kind = kind;
      this.steps = List.copyOf(steps);
    }

    /** The next thing to do, in the part it is in. */
    public Script step(String name, String what) {
      written.add(new Step(name, what, part));
      return this;
    }

    /** What follows belongs to the next part, such as the next load. */
    public Script nextPart() {
      part++;
      return this;
    }

    private Step last() {
      return written.get(written.size() - 1);
    }

    public Script how(String words) {
      last().how = words;
      return this;
    }

    /** Counts the time since the step began under these words. */
    public Script clock(String words) {
      last().clock = words;
      return this;
    }

    /** What is said in this step is about so many watts or amps. */
    public Script about(double subject) {
      last().subject = subject;
      return this;
    }

    /** A press that leads to another step, or back to this one. */
    public Script on(OperatorEvent press, String to) {
      last().ways.put(press, new Way(to, "", true));
      return this;
    }

    /** A press that ends the test. */
    public Script last(OperatorEvent press, String ending) {
      last().ways.put(press, new Way("", ending, true));
      return this;
    }

    /** A press that leads to another step, or after the last of several ends the test. */
    public Script onward(OperatorEvent press, String to, boolean last, String ending) {
      return last ? last(press, ending) : on(press, to);
    }

    /** A press that breaks the test off: what was read stays, and is not the whole. */
    public Script broken(OperatorEvent press, String ending) {
      last().ways.put(press, new Way("", ending, false));
      return this;
    }

    /**
     * Before this is begun it may be skipped with all of its part, for no other rests on it; and a
     * test of such parts may be called enough at any time.
     */
    public Script skippable() {
      last().skippable = true;
      return this;
    }

    /** Marks where the step begins, from which the findings know what was on. */
    public Script begins(String code, String detail, String words) {
      last().begins = new Begins(code, detail, words);
      return this;
    }

    private Map<String, Step> checked() {
      Map<String, Step> script = new LinkedHashMap<>();
      for (Step step : written) {
        if (script.put(step.name, step) != null) {
          throw new IllegalArgumentException("two steps are called " + step.name);
        }
      }
      if (script.isEmpty()) {
        throw new IllegalArgumentException("a test by hand asks for something");
      }
      for (Step step : written) {
        if (step.ways.isEmpty() || step.ways.size() > MOST_PRESSES) {
          throw new IllegalArgumentException(step.name + " wants one press to four");
        }
        step.ways.values().stream()
            .filter(w -> w.ending().isEmpty() && !script.containsKey(w.to()))
            .findFirst()
            .ifPresent(
                w -> {
                  throw new IllegalArgumentException(step.name + " leads to no step: " + w.to());
                });
      }
      return script;
    }

    /** The test. */
    public ByHand build() {
      return new ByHand(this);
    }
  }

  @Override
  public String kind() {
    return kind;
  }

  @Override
  public SetPoints setPoints() {
    return SetPoints.NO_LOAD;
  }

  @Override
  public Optional<Now> now() {
    return phase.over()
        ? Optional.empty()
        : Optional.of(
            new Now(
                at.what,
                at.how,
                List.copyOf(at.ways.keySet()),
                besides(),
                at.clock,
                since,
                at.subject,
                at.part,
                parts));
  }

  /**
   * The same for what was written down afterwards: nobody noted that he went on, so what is said
   * leads to the next step that asks for it.
   */
  public ByHand writtenAfterwards() {
    written = true;
    return this;
  }

  /** What does not belong to the step it is in is kept with the run and leads nowhere. */
  @Override
  public List<Notice> press(TimedOperatorEvent pressed) {
    Way way = phase.over() ? null : way(pressed.press());
    if (way == null && written && !phase.over()) {
      way = later(pressed.press());
    }
    if (way != null && way.ending().isEmpty()) {
      at = script.get(way.to());
      since = pressed.seconds();
      begun().ifPresent(begun::add);
    } else if (way != null && way.whole()) {
      finish(way.ending());
    } else if (way != null) {
      stop(way.ending());
    }
    return List.of();
  }

  private Way way(OperatorEvent press) {
    Way own = at.ways.get(press);
    if (own != null) {
      return own;
    }
    // Who writes "skip" says either.
    boolean skips = press == OperatorEvent.SKIPPED || press == OperatorEvent.NOT_LOOKED;
    if (skips && at.skippable) {
      return script.values().stream()
          .filter(s -> s.part > at.part)
          .findFirst()
          .map(s -> new Way(s.name, "", true))
          .orElseGet(() -> new Way("", "The last of it was skipped.", true));
    }
    return press == OperatorEvent.ENOUGH && ofParts()
        ? new Way("", "Called enough in part " + at.part + " of " + parts + ".", true)
        : null;
  }

  private Way later(OperatorEvent press) {
    return script.values().stream()
        .dropWhile(s -> s != at)
        .skip(1)
        .filter(s -> s.ways.containsKey(press))
        .findFirst()
        .map(
            s -> {
              at = s;
              return s.ways.get(press);
            })
        .orElse(null);
  }

  private List<OperatorEvent> besides() {
    List<OperatorEvent> besides = new ArrayList<>();
    if (at.skippable && !at.ways.containsKey(OperatorEvent.NOT_LOOKED)) {
      besides.add(OperatorEvent.SKIPPED);
    }
    if (ofParts() && !at.ways.containsKey(OperatorEvent.ENOUGH)) {
      besides.add(OperatorEvent.ENOUGH);
    }
    return besides;
  }

  /** Whether each of its parts tells something by itself. */
  private boolean ofParts() {
    return script.values().stream().anyMatch(s -> s.skippable);
  }

  private Optional<Notice> begun() {
    return Optional.ofNullable(at.begins)
        .map(b -> new Notice(since, b.code(), b.detail(), b.words()));
  }

  private void fromTheStart() {
    at = script.values().iterator().next();
    since = 0;
    begun.clear();
    begun().ifPresent(begun::add);
  }

  /** What it will ask for, in order, each thing once. */
  public List<String> outline() {
    return script.values().stream().map(s -> s.what).distinct().toList();
  }

  /** Goes through what was pressed once more, after some of it was struck or moved. */
  public void replay(List<TimedOperatorEvent> pressed) {
    if (!phase.over()) {
      fromTheStart();
      pressed.forEach(this::press);
    }
  }

  /** Where the steps that findings look for began, by what was pressed. */
  public List<Notice> begun(List<TimedOperatorEvent> pressed) {
    replay(pressed);
    return List.copyOf(begun);
  }

  @Override
  public List<Notice> take(Frame frame) {
    return List.of();
  }

  @Override
  public List<DoNow> steps() {
    return steps;
  }
}
