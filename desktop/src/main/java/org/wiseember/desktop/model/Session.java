package org.wiseember.desktop.model;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import org.jfree.chart.JFreeChart;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.wiseember.bench.connect.HandClock;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.report.chart.Charts;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.look.Palette;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.onhand.LoadsOnHand;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.Days;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.LineUpNotes;
import org.wiseember.workbook.Origin;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.WholeFile;
import org.wiseember.workbook.pack.Merge;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * What is on the desk: the open workbook, the chosen unit and stage, how its label stands, the run
 * that goes. Properties change on the interface thread; the workbook is used on a thread of its
 * own, one task after the other.
 */
public final class Session {
  private static final Logger LOG = LoggerFactory.getLogger(Session.class);
  private static final double[] TEXT_STEPS = {1, 1.15, 1.3, 1.5};

  private final Clock clock;
  private final Screen screen;
  private final BlockingQueue<Runnable> waiting = new LinkedBlockingQueue<>();
  private final ExecutorService work =
      new ThreadPoolExecutor(
          1,
          1,
          0,
          TimeUnit.SECONDS,
          waiting,
          task -> {
            Thread thread = new Thread(task, "workbook");
            thread.setDaemon(true);
            return thread;
          });
  private final Edits edits = new Edits();
  private final ObservableList<Shelf.Place> shelf = FXCollections.observableArrayList();
  private final ObjectProperty<Judgement> chosen = new SimpleObjectProperty<>();
  private final ObjectProperty<Long> chosenUnit = new SimpleObjectProperty<>();
  private final ObjectProperty<StageName> stage = new SimpleObjectProperty<>(StageName.VERDICT);
  private final Benchwork bench;
  private final ReadingIn readingIn;
  private final CapturesIn captures;
  private final Decisions decisions;
  private final SolarWork solar;
  private final BesideWork beside;
  private final DayWork dayWork;
  private final LineUpWork lineUpWork;
  private final PlanWork planWork;
  private final ReportWork reportWork;
  private final RemovedItems drawer;
  private final ObjectProperty<Palette> palette = new SimpleObjectProperty<>(Palette.LIGHT);
  private final ObjectProperty<ReaderUnits> units = new SimpleObjectProperty<>(ReaderUnits.AS_KEPT);
  private final DoubleProperty textScale = new SimpleDoubleProperty(1);
  private final BooleanProperty guardBand = new SimpleBooleanProperty(true);
  private final StringProperty title = new SimpleStringProperty("");
  private final StringProperty said = new SimpleStringProperty("");
  private final ObjectProperty<Long> shownRun = new SimpleObjectProperty<>();
  private final ObjectProperty<Long> besideRun = new SimpleObjectProperty<>();
  private volatile Workbook workbook;
  private volatile boolean opening;
  private LocalDate backedUp;
  private boolean looksThrough = true;

  /**
   * A desk with nothing on it.
   *
   * @param screen where what it shows changes
   */
  public Session(Clock clock, Screen screen) {
    this(clock, screen, HandClock::real);
  }

  /**
   * The same with another time for tests that are made by hand.
   *
   * @param handClocks a clock that begins at so many seconds
   */
  public Session(Clock clock, Screen screen, DoubleFunction<HandClock> handClocks) {
    this.clock = clock;
    this.screen = screen;
    this.bench = new Benchwork(this, clock, handClocks, edits);
    this.readingIn = new ReadingIn(this, clock, edits);
    this.captures = new CapturesIn(this, clock, edits);
    this.decisions = new Decisions(this, edits);
    this.solar = new SolarWork(this, edits);
    this.beside = new BesideWork(this, clock, edits);
    this.dayWork = new DayWork(this, clock, edits);
    this.lineUpWork = new LineUpWork(this, edits);
    this.planWork = new PlanWork(this, clock, edits);
    this.reportWork = new ReportWork(this, clock, edits);
    this.drawer = new RemovedItems(this);
    guardBand.addListener((o, was, is) -> judgeAgain(is));
    chosen.addListener((o, was, is) -> chosenUnit.set(is == null ? null : is.unit().id()));
  }

  /**
   * From now on workbooks are opened without every reading being looked through behind the scenes:
   * for who opens one after the other and looks at each for a moment.
   */
  public Session withoutLookingThrough() {
    looksThrough = false;
    return this;
  }

  /** Every unit with how it stands, in the order of the shelf. */
  public ObservableList<Shelf.Place> shelf() {
    return shelf;
  }

  /** The chosen unit with all that was found; null on an empty shelf. */
  public ReadOnlyObjectProperty<Judgement> chosen() {
    return chosen;
  }

  /** The unit that was chosen last, at once; what was found follows when it is read. */
  public ReadOnlyObjectProperty<Long> chosenUnit() {
    return chosenUnit;
  }

  /** Chooses a unit of the shelf. */
  public void choose(long unitId) {
    chosenUnit.set(unitId);
    if (chosen.get() != null && chosen.get().unit().id() == unitId) {
      return;
    }
    judged(
        unitId,
        found -> {
          if (isChosen(unitId)) {
            chosen.set(found);
          }
        },
        () -> {
          // What is on show stays what is marked.
          if (isChosen(unitId)) {
            chosenUnit.set(chosen.get() == null ? null : chosen.get().unit().id());
          }
        });
  }

  private boolean isChosen(long unitId) {
    return chosenUnit.get() != null && chosenUnit.get() == unitId;
  }

  /** Works a unit out, or reads what was found before, and gives it on the interface thread. */
  public void judged(long unitId, Consumer<Judgement> then) {
    judged(unitId, then, () -> {});
  }

  private void judged(long unitId, Consumer<Judgement> then, Runnable otherwise) {
    boolean guarded = guardBand.get();
    Judgement known = chosen.get();
    record Both(Judgement judgement, Shelf.Place place) {}
    background(
        () ->
            workbook
                .units()
                .byId(unitId)
                .map(
                    unit ->
                        known != null && known.unit().id() == unitId
                            ? known.again(workbook, unit, guarded)
                            : Judgement.of(workbook, unit, guarded))
                .map(j -> new Both(j, Shelf.of(workbook, j))),
        found ->
            found.ifPresent(
                both -> {
                  int at = indexOf(unitId);
                  if (at >= 0 && !shelf.get(at).equals(both.place())) {
                    shelf.set(at, both.place());
                  }
                  then.accept(both.judgement());
                }),
        otherwise);
  }

  /** What is not known yet of the units on the shelf is worked out one by one. */
  private void workOutTheRest() {
    // Of those that are there now: units come and go while it is done.
    List<Long> open =
        shelf.stream().filter(p -> p.summary().isEmpty()).map(p -> p.unit().id()).toList();
    workOut(open.iterator());
  }

  /** One that cannot be worked out does not keep the others from it. */
  private void workOut(Iterator<Long> units) {
    if (units.hasNext()) {
      judged(units.next(), found -> workOut(units), () -> workOut(units));
    }
  }

  public ObjectProperty<StageName> stage() {
    return stage;
  }

  /** What goes on at the bench. */
  public Benchwork bench() {
    return bench;
  }

  /** Logs and packages that are read in. */
  public ReadingIn readingIn() {
    return readingIn;
  }

  /** Captures that come from files. */
  public CapturesIn captures() {
    return captures;
  }

  /** The panels on hand. */
  public SolarWork solar() {
    return solar;
  }

  /** Appliances and sources. */
  public BesideWork beside() {
    return beside;
  }

  /** The days that were laid out. */
  public DayWork dayWork() {
    return dayWork;
  }

  /** What comes when. */
  public ReportWork reportWork() {
    return reportWork;
  }

  public PlanWork planWork() {
    return planWork;
  }

  /** Units beside each other. */
  public LineUpWork lineUpWork() {
    return lineUpWork;
  }

  /** What was taken off the shelf. */
  public RemovedItems drawer() {
    return drawer;
  }

  /** What is decided about runs. */
  public Decisions decisions() {
    return decisions;
  }

  public ObjectProperty<Palette> palette() {
    return palette;
  }

  /** Calls this whenever what is drawn has to be drawn anew: other colours, text or units. */
  public void whenLookChanges(Runnable draw) {
    palette.addListener((o, was, is) -> draw.run());
    textScale.addListener((o, was, is) -> draw.run());
    units.addListener((o, was, is) -> draw.run());
  }

  /** What the reader wants figures told in. */
  public ObjectProperty<ReaderUnits> units() {
    return units;
  }

  /** A drawing as the reader likes it: in these colours, this size of text and these units. */
  public JFreeChart drawn(Drawing drawing) {
    return Charts.of(drawing.in(units.get()), palette.get(), textScale.get());
  }

  public DoubleProperty textScale() {
    return textScale;
  }

  public BooleanProperty guardBand() {
    return guardBand;
  }

  /** The workbook's title. */
  public StringProperty title() {
    return title;
  }

  /** The last thing to tell, one sentence; empty for nothing. */
  public StringProperty said() {
    return said;
  }

  /** The run the Evidence stage shows; null for the newest. */
  public ObjectProperty<Long> shownRun() {
    return shownRun;
  }

  /** A run of what is no unit that the Evidence stage is asked to show; null for none. */
  public ObjectProperty<Long> besideRun() {
    return besideRun;
  }

  Screen screen() {
    return screen;
  }

  public Optional<Workbook> workbook() {
    return Optional.ofNullable(workbook);
  }

  public boolean readOnly() {
    return workbook == null || workbook.readOnly();
  }

  /** Runs something off the interface thread and gives its result back on it. */
  public <T> void background(Callable<T> task, Consumer<T> then) {
    background(task, then, () -> {});
  }

  /**
   * Runs something off the interface thread.
   *
   * @param then takes its result
   * @param otherwise runs in its place where it failed, after that was said
   */
  <T> void background(Callable<T> task, Consumer<T> then, Runnable otherwise) {
    if (work.isShutdown()) {
      // The window is closing; what was asked for would have no one to show it to.
      return;
    }
    work.execute(
        () -> {
          try {
            T result = task.call();
            settleWhenIdle();
            screen.later(() -> then.accept(result));
          } catch (WorkbookException e) {
            LOG.warn("workbook", e);
            say(e.getMessage());
            screen.later(otherwise);
          } catch (Exception | Error e) {
            LOG.error("unexpected", e);
            say(
                "That did not work, by an error of the program ("
                    + e.getClass().getSimpleName()
                    + "). What is saved is safe; the log beside the workbook says more.");
            screen.later(otherwise);
          }
        });
  }

  /** Who copies or syncs the file has all of it while nothing goes on. */
  private void settleWhenIdle() {
    Workbook open = workbook;
    if (open != null && waiting.isEmpty() && !bench.going()) {
      open.settle();
      // Once a day, since a window may stay open for several.
      backUp(open);
    }
  }

  /**
   * Writes a copy of the open workbook, whole in one file.
   *
   * @param to where; what is there is replaced
   */
  public void saveCopy(Path to) {
    if (workbook == null) {
      say("No workbook is open. Ctrl+O opens one.");
      return;
    }
    background(
        () -> {
          workbook.saveCopy(to);
          return "A copy of the workbook is saved as " + to + ".";
        },
        this::say);
  }

  /** Beside everything else: a copy of a large workbook takes its time. */
  private void backUp(Workbook opened) {
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    if (today.equals(backedUp)) {
      return;
    }
    backedUp = today;
    Thread copying =
        new Thread(
            () -> {
              try {
                opened.backups().daily(today);
              } catch (WorkbookException e) {
                LOG.warn("no backup", e);
                if (workbook == opened) {
                  say("Today's backup could not be made. " + e.getMessage());
                }
              }
            },
            "backup");
    copying.setDaemon(true);
    copying.start();
  }

  /** Writes a file whole and tells in a sentence whether it went. */
  public static String written(Path file, byte[] content) {
    try {
      WholeFile.write(file, content);
      return "Saved " + file + ".";
    } catch (IOException e) {
      return file + " could not be written. Check the folder, the permissions and the space.";
    }
  }

  /** Tells the tester one sentence, from any thread. */
  public void say(String sentence) {
    if (screen.here()) {
      said.set(sentence);
    } else {
      screen.later(() -> said.set(sentence));
    }
  }

  /** Opens a workbook in place of the one that is open; on failure that one stays. */
  public void open(Path file) {
    if (bench.going()) {
      say("A test is running. Stop it before opening another workbook.");
      return;
    }
    // What was typed into fields of the old shelf must not go into the new file.
    opening = true;
    background(
        () -> swap(file),
        opened -> {
          opening = false;
          bench.instruments().setAll(opened.instruments());
          bench.leftOn().loads().setAll(opened.left());
          bench.loadsOnHand().set(opened.loads().isBlank() ? LoadsOnHand.USUAL : opened.loads());
          solar.panels().set(opened.panels());
          chosen.set(null);
          beside.show(opened.beside());
          dayWork.show(opened.days());
          lineUpWork.show(opened.lineUp());
          planWork.show(opened.campaign());
          reportWork.show(opened.report());
          shelf.setAll(opened.all());
          chooseFirst();
          title.set(opened.title().isBlank() ? String.valueOf(file.getFileName()) : opened.title());
          said.set(aboutOpening(opened.workbook()));
          if (opened.all().isEmpty()) {
            stage.set(StageName.LABEL);
          }
          workOutTheRest();
          drawer.refresh();
          if (looksThrough) {
            lookThrough(opened.workbook());
          }
        });
  }

  private Opened swap(Path file) {
    boolean done = false;
    try {
      refuseTheOpenOne(file);
      Opened opened = read(Workbook.open(file, clock));
      Workbook before = workbook;
      workbook = opened.workbook();
      backedUp = null;
      closeBefore(before);
      done = true;
      return opened;
    } finally {
      // After a failure the open workbook may be edited again; otherwise once it is on show.
      opening &= done;
    }
  }

  /** Opened a second time beside itself it could only be read. */
  private void refuseTheOpenOne(Path file) {
    try {
      if (workbook != null && Files.exists(file) && Files.isSameFile(file, workbook.file())) {
        throw new WorkbookException(file.getFileName() + " is open already.");
      }
    } catch (IOException e) {
      throw new WorkbookException(file + " cannot be reached. Check the disk it lies on.", e);
    }
  }

  /** All that is shown of a workbook is read before it takes the place of another. */
  private Opened read(Workbook next) {
    boolean done = false;
    try {
      Opened opened =
          new Opened(
              next,
              Shelf.of(next),
              next.title(),
              bench.read(next),
              bench.leftOn().read(next),
              next.loadsOnHand(),
              panels(next),
              next.days().all(),
              BesideRun.all(next),
              LineUpWork.read(this, next),
              PlanWork.read(this, next),
              next.reportChoice());
      done = true;
      return opened;
    } finally {
      if (!done) {
        next.close();
      }
    }
  }

  /** Panels that cannot be read are none, and said. */
  private PanelsOnHand panels(Workbook next) {
    try {
      return next.panelsOnHand();
    } catch (WorkbookException e) {
      say(e.getMessage());
      return PanelsOnHand.NONE;
    }
  }

  private static void closeBefore(Workbook before) {
    try {
      if (before != null) {
        before.close();
      }
    } catch (WorkbookException e) {
      LOG.warn("the workbook before did not close", e);
    }
  }

  /** Looks through all that was read in every run, one run after the other beside other work. */
  private void lookThrough(Workbook opened) {
    background(() -> opened.runs().all(), runs -> lookThrough(opened, runs.iterator()));
  }

  private void lookThrough(Workbook opened, Iterator<Run> runs) {
    if (!runs.hasNext() || workbook != opened) {
      return;
    }
    Run run = runs.next();
    background(
        () -> workbook == opened ? opened.runs().check(run) : Optional.<String>empty(),
        wrong -> {
          wrong.ifPresent(
              sentence -> {
                say(sentence);
                if (indexOf(run.unitId()) >= 0) {
                  refresh(run.unitId());
                }
              });
          lookThrough(opened, runs);
        },
        () -> lookThrough(opened, runs));
  }

  private static String aboutOpening(Workbook opened) {
    if (opened.sideFileMissing()) {
      String name = String.valueOf(opened.file().getFileName());
      return name
          + " was copied while a program had it open, without "
          + name
          + "-wal beside it: what was entered last may be missing. Where that file still is, close"
          + " this, put both in one folder and open it again; else a backup beside the original may"
          + " have more.";
    }
    return opened.readOnly()
        ? "Open for reading only: the workbook is written by " + opened.writer() + "."
        : opened.asItWas().map(Session::broughtUp).orElse("");
  }

  private static String broughtUp(Path asItWas) {
    return "This workbook was from an older version and is brought up to date. As it was it stays"
        + " beside, as "
        + asItWas.getFileName()
        + ".";
  }

  private void chooseFirst() {
    if (shelf.isEmpty()) {
      chosen.set(null);
    } else {
      choose(shelf.get(0).unit().id());
    }
  }

  private record Opened(
      Workbook workbook,
      List<Shelf.Place> all,
      String title,
      List<OnBench> instruments,
      List<LoadsLeftOn.Load> left,
      String loads,
      PanelsOnHand panels,
      Days.All days,
      List<BesideRun> beside,
      LineUpNotes lineUp,
      CampaignNotes campaign,
      ReportChoice report) {}

  /** Holds what is known against the labels again; no reading is looked at. */
  private void judgeAgain(boolean guarded) {
    if (chosen.get() != null) {
      chosen.set(chosen.get().judged(guarded));
    }
  }

  /** Shows the shelf as the workbook has it. */
  public void reload() {
    if (workbook == null) {
      return;
    }
    background(
        () -> Shelf.of(workbook),
        all -> {
          Long keep = chosenUnit.get();
          shelf.setAll(all);
          if (keep != null && indexOf(keep) >= 0) {
            refresh(keep);
          } else {
            chooseFirst();
          }
          workOutTheRest();
          drawer.refresh();
        });
  }

  /** A unit with something new in it becomes the chosen one. */
  void show(long unitId) {
    chosenUnit.set(unitId);
    refresh(unitId);
  }

  /** Judges a unit again, and shows it where it is the chosen one by then. */
  void refresh(long unitId) {
    judged(
        unitId,
        found -> {
          if (indexOf(unitId) < 0) {
            reload();
          }
          if (isChosen(unitId)) {
            chosen.set(found);
          }
        });
    drawer.refresh();
  }

  private int indexOf(long unitId) {
    for (int i = 0; i < shelf.size(); i++) {
      if (shelf.get(i).unit().id() == unitId) {
        return i;
      }
    }
    return -1;
  }

  /** Adds a unit, chooses it and shows its label. */
  public void addUnit() {
    if (refuseWhenReadOnly()) {
      return;
    }
    background(
        () -> workbook.units().add("New unit"),
        unit -> {
          edits.did("Unit added", () -> removeQuietly(unit.id()));
          shelf.add(Shelf.Place.untested(unit));
          chosen.set(Judgement.untested(unit));
          stage.set(StageName.LABEL);
        });
  }

  /** A unit came onto the shelf in another way than by hand; undo takes it off again. */
  void added(String what, TestedUnit unit) {
    edits.did(what, () -> removeQuietly(unit.id()));
    shelf.add(Shelf.Place.untested(unit));
    show(unit.id());
    stage.set(StageName.VERDICT);
  }

  /** Takes what another workbook has onto this shelf. */
  public void merge(Path file) {
    if (refuseWhenReadOnly()) {
      return;
    }
    background(
        () -> {
          refuseTheOpenOne(file);
          try (Workbook other = Workbook.read(file, clock)) {
            return Merge.of(workbook, other);
          }
        },
        merged -> {
          reload();
          say(file.getFileName() + " is merged in: " + merged.words());
        });
  }

  private void removeQuietly(long unitId) {
    background(
        () -> {
          workbook.units().remove(unitId);
          return unitId;
        },
        id -> reload());
  }

  /** Takes the chosen unit off the shelf; undo puts it back. */
  public void removeChosen() {
    Judgement judgement = chosen.get();
    if (judgement == null || refuseWhenReadOnly()) {
      return;
    }
    long id = judgement.unit().id();
    if (bench.going() && bench.live().get().unitId() == id) {
      say("A test of this unit is running. Stop it before taking the unit off the shelf.");
      return;
    }
    edits.did(
        judgement.unit().name() + " removed from the shelf",
        () ->
            background(
                () -> {
                  workbook.units().putBack(id);
                  return id;
                },
                back -> reload()));
    removeQuietly(id);
    say(judgement.unit().name() + " is off the shelf. Ctrl+Z puts it back.");
  }

  /** Renames the chosen unit. */
  public void rename(long unitId, String name) {
    int at = indexOf(unitId);
    String clean = name.strip();
    if (at < 0 || clean.isEmpty() || refuseWhenReadOnly()) {
      return;
    }
    String before = shelf.get(at).unit().name();
    if (before.equals(clean)) {
      return;
    }
    edits.did("Name changed", () -> renameQuietly(unitId, before));
    renameQuietly(unitId, clean);
  }

  private void renameQuietly(long unitId, String name) {
    background(
        () -> {
          workbook.units().rename(unitId, name);
          return unitId;
        },
        id -> refresh(id));
  }

  /** Saves a label; undo returns to the one before. */
  public void saveLabel(long unitId, String text, List<Claim> byHand) {
    int at = indexOf(unitId);
    if (at < 0 || refuseWhenReadOnly()) {
      return;
    }
    if (shelf.get(at).unit().origin().isPresent()) {
      say(Origin.NOT_YOURS);
      refresh(unitId);
      return;
    }
    Label before = shelf.get(at).unit().label();
    if (before.text().equals(text) && before.byHand().equals(byHand)) {
      return;
    }
    edits.did("Label changed", () -> saveQuietly(unitId, before.text(), before.byHand()));
    TestedUnit old = shelf.get(at).unit();
    // The shelf knows at once, so that a second edit before the save is done undoes to this one.
    TestedUnit now = new TestedUnit(unitId, old.name(), text, byHand);
    shelf.set(at, new Shelf.Place(now, shelf.get(at).summary()));
    saveQuietly(unitId, text, byHand);
  }

  private void saveQuietly(long unitId, String text, List<Claim> byHand) {
    background(() -> workbook.units().label(unitId, text, byHand), l -> refresh(unitId));
  }

  /** Undoes the newest edit. */
  public void undo() {
    Optional<String> undone = edits.undo();
    say(undone.map(words -> "Undone: " + words + ".").orElse("Nothing to undo."));
  }

  boolean refuseWhenReadOnly() {
    if (opening) {
      say("Another workbook is being opened. Try again in a moment.");
      return true;
    }
    if (workbook == null) {
      say("No workbook is open. Ctrl+O opens one.");
      return true;
    }
    if (workbook.readOnly()) {
      say(
          "Open for reading only: the workbook is written by "
              + workbook.writer()
              + ". Close that first.");
      return true;
    }
    return false;
  }

  /** Reads what pictures of runs need, and goes on when it is at hand: at once where it is. */
  public void fetch(List<TestRun> runs, Runnable then) {
    if (runs.stream().allMatch(r -> r.kept().atHand())) {
      then.run();
      return;
    }
    background(
        () -> {
          runs.forEach(r -> r.kept().fetch());
          return runs;
        },
        read -> then.run());
  }

  /** What was noticed in a run. */
  public void events(long runId, Consumer<List<Event>> then) {
    background(() -> workbook.runs().events(runId), then);
  }

  /** Larger or smaller text, one step. */
  public void changeText(int by) {
    int at = 0;
    for (int i = 0; i < TEXT_STEPS.length; i++) {
      if (Math.abs(TEXT_STEPS[i] - textScale.get()) < 0.01) {
        at = i;
      }
    }
    textScale.set(TEXT_STEPS[Math.max(0, Math.min(TEXT_STEPS.length - 1, at + by))]);
  }

  /** Light or dark. */
  public void switchPalette() {
    palette.set(palette.get().dark() ? Palette.LIGHT : Palette.DARK);
  }

  /** Stops what runs and closes the workbook. Blocks for at most a few seconds. */
  public void close() {
    try {
      bench.close();
      planWork.close();
      reportWork.close();
      work.shutdown();
      work.awaitTermination(3, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    if (workbook != null) {
      workbook.close();
    }
  }
}
