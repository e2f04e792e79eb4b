package org.wiseember.desktop.model;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import org.wiseember.bench.connect.HandClock;
import org.wiseember.core.solar.PanelsOnHand;
import org.wiseember.trial.beside.BesideRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.Days;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.LineUpNotes;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.plan.CampaignNotes;

/**
 * A sitting at the program: the open workbook, the units on its shelf, what is on show, and the
 * work that goes on. Properties change on the interface thread.
 */
public final class Session {
  private final OpenWorkbook open;
  private final UnitShelf shelf;
  private final Navigation at = new Navigation();
  private final ReaderLook look = new ReaderLook();
  private final UnitEdits unitEdits;
  private final Benchwork bench;
  private final ReadingIn readingIn;
  private final NotesWork notes;
  private final LaterLines laterLines;
  private final CapturesIn captures;
  private final Decisions decisions;
  private final SolarWork solar;
  private final BesideWork beside;
  private final DayWork dayWork;
  private final LineUpWork lineUpWork;
  private final PlanWork planWork;
  private final ReportWork reportWork;
  private final RemovedItems removedItems;
  private final StringProperty title = new SimpleStringProperty("");
  private boolean looksThrough = true;

  /**
   * A session with nothing open.
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
    Judgements judgements = new Judgements();
    this.open = new OpenWorkbook(clock, screen, this::testGoes);
    this.shelf = new UnitShelf(open, judgements);
    this.unitEdits = new UnitEdits(open, shelf, at, this::isUnderTest);
    this.bench = new Benchwork(open, shelf, at, look, handClocks);
    this.beside = new BesideWork(open);
    this.captures = new CapturesIn(open, shelf, at);
    this.notes = new NotesWork(open, shelf, at);
    this.laterLines = new LaterLines(open, shelf, look);
    this.readingIn =
        new ReadingIn(open, shelf, at, unitEdits, captures, notes, bench.test()::get, beside);
    this.decisions = new Decisions(open, shelf);
    this.solar = new SolarWork(open, at, bench);
    this.dayWork = new DayWork(open, shelf, at, judgements, beside);
    this.lineUpWork = new LineUpWork(open, shelf, at, judgements, dayWork, beside);
    this.planWork = new PlanWork(open, shelf, at, look, judgements, bench);
    this.reportWork = new ReportWork(open, shelf, at, look, bench);
    this.removedItems = new RemovedItems(open, shelf);
    shelf.whenChanged(removedItems::refresh);
  }

  private boolean testGoes() {
    return bench.going();
  }

  private boolean isUnderTest(long unitId) {
    return bench.tests(unitId);
  }

  /** The workbook that is open, and its thread. */
  public OpenWorkbook open() {
    return open;
  }

  /** The units on its shelf. */
  public UnitShelf shelf() {
    return shelf;
  }

  /** Units come, go, are named and labelled. */
  public UnitEdits units() {
    return unitEdits;
  }

  /** What is on show. */
  public Navigation at() {
    return at;
  }

  /** How the reader likes it. */
  public ReaderLook look() {
    return look;
  }

  /**
   * From now on workbooks are opened without every reading being looked through behind the scenes:
   * for who opens one after the other and looks at each for a moment.
   */
  public Session withoutLookingThrough() {
    looksThrough = false;
    return this;
  }

  /** From now on a plan is the best of so many seconds, however much better there is. */
  public Session planningWithin(double seconds) {
    planWork.within(seconds);
    return this;
  }

  /** What goes on at the bench. */
  public Benchwork bench() {
    return bench;
  }

  /** Logs and packages that are read in. */
  /** What is written into the notebooks of runs that are over. */
  public LaterLines laterLines() {
    return laterLines;
  }

  /** Tests that were made earlier. */
  public NotesWork notes() {
    return notes;
  }

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
  public RemovedItems removedItems() {
    return removedItems;
  }

  /** What is decided about runs. */
  public Decisions decisions() {
    return decisions;
  }

  /** The workbook's title. */
  public StringProperty title() {
    return title;
  }

  /** Opens a workbook in place of the one that is open; on failure that one stays. */
  public void open(Path file) {
    if (bench.going()) {
      open.say("A test is running. Stop it before opening another workbook.");
      return;
    }
    // What was typed into fields of the old shelf must not go into the new file.
    open.beginOpening();
    open.background(
        () -> open.swap(file, this::read),
        opened -> {
          open.opened();
          bench.instruments().setAll(opened.instruments());
          bench.leftOn().loads().setAll(opened.left());
          bench.show(opened.loads());
          solar.show(opened.panels());
          shelf.clear();
          beside.show(opened.beside());
          dayWork.show(opened.days());
          lineUpWork.show(opened.lineUp());
          planWork.show(opened.campaign());
          reportWork.show(opened.report());
          shelf.show(opened.all());
          title.set(opened.title().isBlank() ? String.valueOf(file.getFileName()) : opened.title());
          open.said().set(OpenWorkbook.about(opened.workbook()));
          if (opened.all().isEmpty()) {
            at.stage().set(StageName.LABEL);
          }
          shelf.workOutTheRest();
          removedItems.refresh();
          if (looksThrough) {
            shelf.lookThrough(opened.workbook());
          }
        });
  }

  /** All that is shown of a workbook is read before it takes the place of another. */
  private Opened read(Workbook next) {
    return new Opened(
        next,
        Shelf.of(next),
        next.title(),
        bench.read(next),
        bench.leftOn().read(next),
        next.loadsOnHand(),
        panels(next),
        next.days().all(),
        BesideRun.all(next),
        LineUpWork.read(open, next),
        PlanWork.read(open, next),
        next.reportChoice());
  }

  /** Panels that cannot be read are none, and said. */
  private PanelsOnHand panels(Workbook next) {
    try {
      return next.panelsOnHand();
    } catch (WorkbookException e) {
      open.say(e.getMessage());
      return PanelsOnHand.NONE;
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

  /** Reads what pictures of runs need, and goes on when it is at hand: at once where it is. */
  public void fetch(List<TestRun> runs, Runnable then) {
    if (runs.stream().allMatch(r -> r.kept().atHand())) {
      then.run();
      return;
    }
    open.background(
        () -> {
          runs.forEach(r -> r.kept().fetch());
          return runs;
        },
        read -> then.run());
  }

  /** What was noticed in a run. */
  public void events(long runId, Consumer<List<Event>> then) {
    open.background(() -> open.workbook().orElseThrow().runs().events(runId), then);
  }

  /** Stops what runs and closes the workbook. Blocks for at most a few seconds. */
  public void close() {
    bench.close();
    planWork.close();
    reportWork.close();
    open.close();
  }
}
