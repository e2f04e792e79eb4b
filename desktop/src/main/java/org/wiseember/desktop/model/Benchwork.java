package org.wiseember.desktop.model;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import java.util.regex.Pattern;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.ObservableSet;
import org.wiseember.bench.connect.ConnectedBench;
import org.wiseember.bench.connect.HandClock;
import org.wiseember.bench.instrument.DescriptionJson;
import org.wiseember.bench.instrument.DescriptionUnreadable;
import org.wiseember.bench.instrument.InstrumentDescription;
import org.wiseember.bench.instrument.Transport;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.run.RunView;
import org.wiseember.bench.run.Runner;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.start.MotorStart;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.typed.TypedKind;
import org.wiseember.core.typed.TypedReading;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.onhand.Ask;
import org.wiseember.trial.onhand.LoadsOnHand;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Instruments;
import org.wiseember.workbook.Origin;
import org.wiseember.workbook.Photo;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** What goes on at the bench: the instruments, the run that goes, what a person says of it. */
public final class Benchwork {
  private static final Pattern ERROR_CODE = Pattern.compile("(?i)[a-z]{1,4}[- ]?\\d{1,4}");

  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at;
  private final Clock clock;
  private final Edits edits;
  private final ObjectProperty<LiveRun> live = new SimpleObjectProperty<>();
  private final ObjectProperty<Pace> pace = new SimpleObjectProperty<>(Pace.SIXTY);
  private final ObjectProperty<RunSettings.Source> source =
      new SimpleObjectProperty<>(RunSettings.Source.SIMULATED);
  private final ObjectProperty<TestType> test = new SimpleObjectProperty<>(AllTests.of(Drain.AC));
  private final Edited<String> loadsOnHand;
  private final ObservableSet<Fault> faults =
      FXCollections.observableSet(EnumSet.noneOf(Fault.class));
  private final ObservableSet<String> ticked = FXCollections.observableSet();
  private final ReadOnlyObjectWrapper<OnHand> onHand =
      new ReadOnlyObjectWrapper<>(OnHand.of(LoadsOnHand.watts(LoadsOnHand.USUAL)));
  private final Map<String, String> troubles = new HashMap<>();
  private final ObservableSet<String> cautionsSeen = FXCollections.observableSet();
  private final ObservableList<OnBench> instruments = FXCollections.observableArrayList();
  private final LoadsLeftOn leftOn;
  private final DoubleFunction<HandClock> handClocks;
  private final NotebookWork notebook;
  private boolean opening;

  Benchwork(
      OpenWorkbook open,
      UnitShelf shelf,
      Navigation at,
      ReaderLook look,
      DoubleFunction<HandClock> handClocks) {
    this.open = open;
    this.shelf = shelf;
    this.at = at;
    this.handClocks = handClocks;
    this.notebook = new NotebookWork(open, shelf, look, this);
    this.clock = open.clock();
    this.edits = open.edits();
    this.leftOn = new LoadsLeftOn(open, look);
    this.loadsOnHand = new Edited<>(open, LoadsOnHand.USUAL, Workbook::loadsOnHand);
    loadsOnHand
        .value()
        .addListener((o, was, is) -> onHand.set(onHand.get().loaded(LoadsOnHand.watts(is))));
  }

  /** The notebook of the run that is made by hand. */
  public NotebookWork notebook() {
    return notebook;
  }

  /** Loads that may still be on though nothing runs. */
  public LoadsLeftOn leftOn() {
    return leftOn;
  }

  /** The run that goes or went last; null when none was started, or another is prepared. */
  public ObjectProperty<LiveRun> live() {
    return live;
  }

  public boolean going() {
    return live.get() != null && live.get().going();
  }

  /** Whether a test of this unit is running. */
  boolean tests(long unitId) {
    return going() && live.get().unitId() == unitId;
  }

  public ObjectProperty<Pace> pace() {
    return pace;
  }

  /** What there is to test with: loads, and what tests ask for beside them. */
  public ReadOnlyObjectProperty<OnHand> onHand() {
    return onHand.getReadOnlyProperty();
  }

  /** Takes what was answered to something a test asks for, such as the motor started next. */
  public <T> void have(Ask<T> ask, T answer) {
    onHand.set(onHand.get().with(ask, answer));
  }

  /**
   * What stands in a field and cannot be taken: until it is put right no test starts that asks for
   * it, for it would go by what stood there before.
   *
   * @param sentence about it; empty where it is right again
   */
  public void trouble(Ask<?> ask, String sentence) {
    if (sentence.isEmpty()) {
      troubles.remove(ask.key());
    } else {
      troubles.put(ask.key(), sentence);
    }
  }

  private Optional<String> trouble(TestType type) {
    return type.declaration().asks().stream()
        .filter(ask -> onHand.get().asked(ask))
        .flatMap(
            ask ->
                Optional.ofNullable(troubles.get(ask.key()))
                    .or(() -> onHand.get().missing(ask))
                    .stream())
        .findFirst();
  }

  /** The cautions of a test have all been in sight. */
  public void cautionsSeen(TestType type) {
    cautionsSeen.add(type.key());
  }

  /** Whether a test may start: one that can hurt does so only once its cautions were in sight. */
  public boolean mayStart(TestType type) {
    return !type.is(Trait.HAZARDOUS) || cautionsSeen.contains(type.key());
  }

  /** Says how the try that is on went, where only a person sees it. */
  public void sawStart(MotorStart.Outcome outcome) {
    remark(MotorStarts.TRY + outcome.name(), "Seen: " + outcome.words() + ".");
  }

  /** Which test comes next. */
  public ObjectProperty<TestType> test() {
    return test;
  }

  /**
   * Makes a test ready to start, also where it ended just now: a test is made as often as one
   * likes.
   */
  public void prepare(TestType type) {
    if (!going()) {
      live.set(null);
    }
    test.set(type);
  }

  /** Watts of the loads the tester has, as typed. */
  public ReadOnlyObjectProperty<String> loadsOnHand() {
    return loadsOnHand.value();
  }

  /** Shows what a workbook has that was just opened. */
  void show(String loads) {
    loadsOnHand.show(loads.isBlank() ? LoadsOnHand.USUAL : loads);
  }

  /** Keeps what loads there are; undo returns to those before. */
  public void keepLoads(String typed) {
    Optional<String> wrong = LoadsOnHand.wrong(typed);
    if (wrong.isPresent() && !typed.equals(loadsOnHand.get())) {
      open.say(wrong.get());
    } else {
      loadsOnHand.change(typed, "Loads on hand changed");
    }
  }

  /** What the test that goes asked a person for is done. */
  public void confirm() {
    if (going()) {
      live.get().run().runner().confirm();
    }
  }

  /** Where the readings of the next run come from. */
  public ObjectProperty<RunSettings.Source> source() {
    return source;
  }

  /** Faults of the simulated bench to practise on. */
  public ObservableSet<Fault> faults() {
    return faults;
  }

  /** Steps a person has ticked off for the next run, or in the one that goes. */
  public ObservableSet<String> ticked() {
    return ticked;
  }

  /** The tester's own instruments. */
  public ObservableList<OnBench> instruments() {
    return instruments;
  }

  List<OnBench> read(Workbook workbook) {
    List<OnBench> all = new ArrayList<>();
    for (Instruments.Kept kept : workbook.instruments().all()) {
      try {
        all.add(new OnBench(kept.id(), DescriptionJson.read(kept.description())));
      } catch (DescriptionUnreadable e) {
        open.say("An instrument in the workbook cannot be used. " + e.getMessage());
      }
    }
    return all;
  }

  /** The test the chosen unit would get; empty when its label does not say enough for it. */
  public Optional<TestPlan> plan() {
    return Optional.ofNullable(shelf.chosen().get())
        .flatMap(j -> AllTests.plan(test.get(), j.unit().label(), onHand.get()));
  }

  private List<InstrumentDescription> descriptions() {
    return instruments.stream().map(OnBench::description).toList();
  }

  /** Starts the chosen test of the chosen unit. */
  public void start() {
    Judgement judgement = shelf.chosen().get();
    if (judgement != null && judgement.unit().origin().isPresent()) {
      open.say(Origin.NOT_YOURS);
      return;
    }
    Optional<TestPlan> plan = plan();
    if (judgement == null || plan.isEmpty() || open.refuseWhenReadOnly() || busy()) {
      return;
    }
    Optional<String> trouble = trouble(plan.get().type());
    if (trouble.isPresent()) {
      open.say(trouble.get());
      return;
    }
    if (!mayStart(plan.get().type())) {
      open.say(
          "Read the cautions beside the steps first; it starts once all of them were in sight.");
      return;
    }
    RunSettings.Source wanted = plan.get().byHandOnly() ? RunSettings.Source.BY_HAND : source.get();
    boolean asked = descriptions().stream().anyMatch(d -> d.transport().asked());
    if (wanted == RunSettings.Source.INSTRUMENTS && !asked) {
      open.say(
          "No instrument that can be asked is on your bench. Add one, or choose readings by hand.");
      return;
    }
    TestedUnit unit = judgement.unit();
    LiveRun next = liveRun(judgement, plan.get());
    Pace speed = pace.get();
    Set<Fault> practise = Set.copyOf(faults);
    List<InstrumentDescription> mine = descriptions();
    long seed = unit.id() * 1000 + judgement.runs().size() + 1;
    opening = true;
    open.background(
        () ->
            RecordedRun.of(
                open.workbook().orElseThrow(),
                unit,
                plan.get(),
                switch (wanted) {
                  case INSTRUMENTS -> BenchSetup.instruments(mine, plan.get(), 0, 1);
                  case BY_HAND -> BenchSetup.byHand(byHand(mine), plan.get(), handClocks.apply(0));
                  default ->
                      BenchSetup.simulated(unit.name(), unit.label(), plan.get(), seed, practise);
                },
                speed,
                clock.instant(),
                next::take),
        run -> {
          begin(next, run, clock.instant(), new NotebookWork.All(List.of(), List.of()));
          sayWhatWasNotTicked(run);
        },
        () -> opening = false);
  }

  /** What is typed or read off a file; what the program asks has no place in a run by hand. */
  private static List<InstrumentDescription> byHand(List<InstrumentDescription> all) {
    return all.stream().filter(d -> d.transport() == Transport.TYPED).toList();
  }

  /** Whether the chosen test, as it is set up, is made by hand whatever stands on the bench. */
  public boolean byHandOnly() {
    return plan().map(TestPlan::byHandOnly).orElseGet(() -> test.get().is(Trait.BY_HAND_ONLY));
  }

  /** A second press while a run is still being opened must not open another. */
  private boolean busy() {
    if (going()) {
      open.say("A test is running already. One bench, one test.");
    }
    return opening || going();
  }

  private LiveRun liveRun(Judgement judgement, TestPlan plan) {
    List<Double> earlier = plan.type().earlier(judgement);
    long unitId = judgement.unit().id();
    return new LiveRun(
        open.screen(),
        unitId,
        plan,
        judgement.unit().label().ratedWattHours().orElse(Double.NaN),
        judgement.unit().label().ratedWatts().orElse(Double.NaN),
        earlier,
        last -> {
          leftOn.after(last.stillOn());
          shelf.refresh(unitId);
        });
  }

  private void begin(LiveRun next, RecordedRun run, Instant startedAt, NotebookWork.All written) {
    opening = false;
    next.attach(run, startedAt, written);
    at.shownRun().set(run.runId());
    live.set(next);
    run.runner().pace(pace.get());
    run.runner().start();
  }

  private void sayWhatWasNotTicked(RecordedRun run) {
    List<String> open =
        run.procedure().steps().stream()
            .filter(s -> s.when() == DoNow.When.BEFORE)
            .map(DoNow::text)
            .filter(t -> !ticked.contains(t))
            .toList();
    if (!open.isEmpty()) {
      run.runner()
          .remark("not_ticked", "Started without ticking: " + String.join("; ", open) + ".");
    }
  }

  /** Takes up a run that was cut short. */
  public void resume(Run run) {
    Judgement judgement = shelf.chosen().get();
    if (judgement == null || open.refuseWhenReadOnly() || busy()) {
      return;
    }
    LiveRun next = liveRun(judgement, AllTests.plan(run));
    List<InstrumentDescription> mine = descriptions();
    Pace speed = pace.get();
    opening = true;
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          RecordedRun resumed =
              RecordedRun.resume(
                  workbook, judgement.unit(), run, mine, speed, clock.instant(), next::take);
          return new Resumed(resumed, NotebookWork.all(workbook, run.id()));
        },
        resumed -> begin(next, resumed.run(), run.startedAt(), resumed.written()),
        () -> opening = false);
  }

  private record Resumed(RecordedRun run, NotebookWork.All written) {}

  /** Closes a run that was cut short, for good. */
  public void closeInterrupted(Run run) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> {
          open.workbook()
              .orElseThrow()
              .runs()
              .close(run, "Cut short, and closed by hand afterwards.");
          return run.unitId();
        },
        unit -> shelf.refresh(unit));
  }

  /** Sets the speed of the bench clock, also while a test runs. */
  public void setPace(Pace wanted) {
    pace.set(wanted);
    if (live.get() != null) {
      live.get().run().runner().pace(wanted);
    }
  }

  /** Marks this moment of the running test. */
  public void mark(String words) {
    remark("mark", words);
  }

  private void remark(String code, String words) {
    if (going()) {
      live.get().run().runner().remark(code, words);
    }
  }

  /** Keeps a note; one that looks like an error code is kept as such. */
  public void note(String words) {
    String clean = words.strip();
    if (clean.isEmpty()) {
      return;
    }
    boolean code = ERROR_CODE.matcher(clean).matches();
    remark(code ? "error_code" : "note", code ? "The unit shows " + clean + "." : clean);
  }

  /** Ticks a step off while a run goes, or before one. */
  public void tick(String step, boolean done) {
    if (done && ticked.add(step)) {
      remark("ticked", "Done: " + step + ".");
    } else if (!done) {
      ticked.remove(step);
    }
  }

  /** Stops the running test; its readings stay. */
  public void stopRun() {
    if (going()) {
      live.get().run().runner().stop();
    }
  }

  /** Ends the running test because a person saw its end. */
  public void outputDroppedOut() {
    if (going()) {
      live.get().run().runner().finish("The output dropped out, seen by hand.");
    }
  }

  /** Keeps typed readings of one moment. */
  public void keepTyped(List<TypedReading> readings) {
    LiveRun run = live.get();
    if (run == null || open.refuseWhenReadOnly()) {
      return;
    }
    RunView view = run.view().get();
    double now = view == null || view.latest() == null ? 0 : view.latest().seconds();
    double loaded = view == null ? 0 : view.loadedSeconds();
    double at =
        readings.stream()
            .filter(r -> r.kind() == TypedKind.CLOCK)
            .findFirst()
            .map(r -> loaded > 0 ? now - loaded + r.value() : r.value())
            .orElse(now);
    String meter = meterOf(run);
    for (TypedReading reading : readings) {
      if (reading.kind().channel().isPresent()) {
        boolean eye = reading.kind().byEye();
        String by = !eye ? meter : reading.kind() == TypedKind.DISPLAY ? "Display" : "Eyes";
        keep(run, reading.kind(), reading.value(), reading.resolution(), reading.asTyped(), by, at);
        remark(
            "typed",
            "Typed: "
                + (eye ? reading.kind().words().toLowerCase(Locale.ROOT) : by)
                + " "
                + reading.words()
                + (Math.abs(at - now) > 2 ? " at " + Figures.clock(at) : "")
                + ".");
      }
    }
  }

  private void keep(
      LiveRun run,
      TypedKind kind,
      double value,
      double resolution,
      String asTyped,
      String meter,
      double at) {
    long runId = run.run().runId();
    Channel channel = kind.channel().orElseThrow();
    open.background(
        () ->
            open.workbook()
                .orElseThrow()
                .typedReadings()
                .keep(runId, at, meter, channel, value, resolution, asTyped),
        id -> {
          run.typed(new StoredReading(id, at, meter, channel, value, resolution, asTyped));
          edits.did("Typed reading kept", () -> strike(run, id, true));
          if (!run.going()) {
            shelf.refresh(run.unitId());
          }
        });
  }

  private void strike(LiveRun run, long id, boolean away) {
    open.background(
        () -> {
          open.workbook().orElseThrow().typedReadings().struck(id, away);
          return id;
        },
        done -> {
          run.takenBack(id);
          shelf.refresh(run.unitId());
        });
  }

  /** Whose total is typed: the first typed meter on the bench that has one. */
  public String meterOf(LiveRun run) {
    return instruments.stream()
        .map(OnBench::description)
        .filter(d -> d.transport() == Transport.TYPED)
        .filter(d -> d.channels().stream().anyMatch(c -> c.channel() == Channel.AC_ENERGY))
        .map(InstrumentDescription::name)
        .findFirst()
        .orElse(run.run().source() == RunSettings.Source.BY_HAND ? "Meter" : "Meter C");
  }

  /** Adds a photo of this moment. */
  public void photo(Path file) {
    if (!going()) {
      open.say("A photo belongs to a running test. Start one first.");
      return;
    }
    LiveRun run = live.get();
    RunView view = run.view().get();
    double now = view == null || view.latest() == null ? 0 : view.latest().seconds();
    open.background(
        () -> open.workbook().orElseThrow().photos().add(run.run().runId(), now, file, ""),
        (Photo photo) -> remark("photo", "Photo: " + file.getFileName() + "."));
  }

  /** Puts an instrument on the bench; undo takes it off. */
  public void addInstrument(InstrumentDescription description, Consumer<OnBench> then) {
    if (open.refuseWhenReadOnly()) {
      return;
    }
    open.background(
        () -> open.workbook().orElseThrow().instruments().add(DescriptionJson.write(description)),
        id -> {
          OnBench added = new OnBench(id, description);
          instruments.add(added);
          edits.did(description.name() + " put on the bench", () -> away(id, true));
          then.accept(added);
        });
  }

  /** Changes an instrument; undo changes it back. */
  public void changeInstrument(long id, InstrumentDescription description) {
    OnBench before = find(id).orElse(null);
    if (before == null || before.description().equals(description) || open.refuseWhenReadOnly()) {
      return;
    }
    edits.did(description.name() + " changed", () -> changeQuietly(id, before.description()));
    changeQuietly(id, description);
  }

  private void changeQuietly(long id, InstrumentDescription description) {
    open.background(
        () -> {
          open.workbook()
              .orElseThrow()
              .instruments()
              .change(id, DescriptionJson.write(description));
          return id;
        },
        done ->
            find(id)
                .ifPresent(
                    old ->
                        instruments.set(instruments.indexOf(old), new OnBench(id, description))));
  }

  /** Takes an instrument off the bench; undo puts it back. */
  public void removeInstrument(long id) {
    find(id)
        .ifPresent(
            gone -> {
              edits.did(
                  gone.description().name() + " removed from the bench", () -> away(id, false));
              away(id, true);
              open.say(gone.description().name() + " is off the bench. Ctrl+Z puts it back.");
            });
  }

  private void away(long id, boolean away) {
    open.background(
        () -> {
          Workbook workbook = open.workbook().orElseThrow();
          workbook.instruments().removed(id, away);
          return read(workbook);
        },
        instruments::setAll);
  }

  private Optional<OnBench> find(long id) {
    return instruments.stream().filter(i -> i.id() == id).findFirst();
  }

  /** Asks an instrument once and tells what it said, in a thread of its own. */
  public void tryOut(InstrumentDescription description, Consumer<String> then) {
    Thread thread =
        new Thread(
            () -> {
              String said;
              try (ConnectedBench bench = new ConnectedBench(List.of(description), 0, 1)) {
                Frame frame = bench.advance(1);
                for (int i = 0; i < 2 && !bench.health().get(0).alive(); i++) {
                  frame = bench.advance(1);
                }
                said =
                    bench.health().get(0).alive()
                        ? "It says " + readings(frame) + "."
                        : description.name() + ": " + bench.health().get(0).words();
              }
              String words = said;
              open.screen().later(() -> then.accept(words));
            },
            "try out");
    thread.setDaemon(true);
    thread.start();
  }

  private static String readings(Frame frame) {
    List<String> words = new ArrayList<>();
    for (Channel channel : frame.channels()) {
      words.add(Figures.plain(frame.value(channel), channel.unit()));
    }
    return String.join(", ", words);
  }

  /** Stops what runs and waits until its loads are off and it is on disk. */
  void close() {
    stopRun();
    try {
      if (live.get() != null) {
        live.get().run().runner().awaitEnd(Runner.LONGEST_END_SECONDS, TimeUnit.SECONDS);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /**
   * Whether the window may close now. A test with loads of its own is stopped first, and the window
   * stays where one of them could not be switched off: the words that say so must not go with it.
   *
   * @param then closes it, once the test is over and everything is off
   */
  public boolean mayClose(Runnable then) {
    if (!going() || live.get().run().source() != RunSettings.Source.INSTRUMENTS) {
      return true;
    }
    open.say("The test is stopped and its loads are switched off; then the window closes.");
    live.get()
        .view()
        .addListener(
            (o, was, is) -> {
              if (is.phase().over() && is.stillOn().isEmpty()) {
                then.run();
              }
            });
    stopRun();
    return false;
  }
}
