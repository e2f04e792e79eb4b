package org.wiseember.workshop;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import javafx.animation.PauseTransition;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.model.NotesDraft;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.look.Palette;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.ScheduleStep;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.workbook.RunSettings;

/** Pictures of the main views, from whatever workbook is open. */
final class Screenshots {
  private static final long LONGEST_WAIT = TimeUnit.SECONDS.toMillis(40);

  private record Shot(String name, Runnable prepare, java.util.function.BooleanSupplier ready) {}

  private final Session session;
  private final Scene scene;
  private final Path folder;
  private final Runnable done;
  private final PictureByHand inspection;
  private final PictureByHand solarTrial;
  private final PictureByHand byHand;
  private final Deque<Shot> shots = new ArrayDeque<>();
  private long waited;

  private Screenshots(
      Session session, PictureClock clock, Scene scene, Path folder, Runnable done) {
    this.session = session;
    this.inspection = PictureByHand.inspection(session, clock, scene);
    this.solarTrial = PictureByHand.solarTrial(session, clock);
    this.byHand = PictureByHand.overload(session, clock, scene);
    this.scene = scene;
    this.folder = folder;
    this.done = done;
  }

  /** Takes all pictures once the workbook is open, then calls {@code done}. */
  static void take(Session session, PictureClock clock, Scene scene, Path folder, Runnable done) {
    Screenshots screenshots = new Screenshots(session, clock, scene, folder, done);
    screenshots.plan();
    screenshots.step();
  }

  private void plan() {
    add(
        "verdict",
        () -> session.at().stage().set(StageName.VERDICT),
        () -> session.shelf().chosen().get() != null);
    add("label", () -> session.at().stage().set(StageName.LABEL), () -> true);
    add(
        "evidence",
        () -> {
          session.at().shownRun().set(run("AC drain"));
          session.at().stage().set(StageName.EVIDENCE);
        },
        () -> true);

    add("charge", () -> session.at().shownRun().set(run("Charge from the wall and")), () -> true);
    add("waveform", () -> session.at().shownRun().set(run("Waveform")), () -> true);
    add("run-time", () -> session.at().stage().set(StageName.RUN_TIME), () -> workedOut(0));
    add(
        "feeds",
        () -> {
          session.dayWork().choose(session.dayWork().days().get(2));
          fire("#run-time-FEEDS");
        },
        () -> workedOut(2));
    add(
        "line-up",
        () -> session.at().stage().set(StageName.LINE_UP),
        () -> session.lineUpWork().shown().get() != null);
    add("report", () -> session.at().stage().set(StageName.REPORT), this::pageShown);
    add(
        "guide",
        () -> {
          session.look().palette().set(Palette.DARK);
          session.bench().test().set(AllTests.of(Drain.AC));
          session.at().stage().set(StageName.BENCH);
          press(KeyCode.F1);
        },
        () -> scene.lookup("#guide-first") != null);
    add(
        "log",
        () -> {
          press(KeyCode.F1);
          session.look().palette().set(Palette.LIGHT);
          takeMeterLog();
        },
        () -> session.readingIn().draft().get() != null);
    add(
        "instruments",
        () -> {
          session.readingIn().forget();
          session.at().stage().set(StageName.BENCH);
          session.bench().source().set(RunSettings.Source.INSTRUMENTS);
        },
        () -> fired("#to-instruments"));
    add(
        "made-earlier",
        () -> {
          fired("#back-to-bench");
          choose(1, this::writeDown);
        },
        () -> session.notes().understood().get().found().isPresent());
    add(
        "plan",
        () -> {
          session.notes().forget();
          choose(1, () -> session.at().stage().set(StageName.PLAN));
        },
        this::tideShown);
    add("solar-port", () -> choose(0, () -> fire("#plan-SOLAR")), this::waysShown);
    add(
        "inspection",
        () -> {
          session.at().stage().set(StageName.BENCH);
          inspection.start();
        },
        inspection::step);
    add(
        "solar-trial",
        () -> {
          session.bench().stopRun();
          afterwards(solarTrial::start);
        },
        this::solarTrialShown);
    add("by-hand", () -> afterwards(byHand::start), byHand::step);
    add(
        "bench",
        () -> {
          session.bench().stopRun();
          session.at().stage().set(StageName.BENCH);
          session.bench().test().set(AllTests.of(Drain.AC));
          session.bench().source().set(RunSettings.Source.SIMULATED);
          session.bench().faults().add(Fault.LOOSE_LEAD);
          session.bench().setPace(Pace.SIX_HUNDRED);
          Drain.ac(230).steps().stream()
              .filter(s -> s.when() == DoNow.When.BEFORE)
              .forEach(s -> session.bench().tick(s.text(), true));
          choose(1, session.bench()::start);
        },
        () ->
            session.bench().live().get() != null
                && session.bench().live().get().view().get() != null
                && session.bench().live().get().delivered() > 280
                && typed());
  }

  /** What somebody noted of a drain at the market. */
  private void writeDown() {
    session.notes().begin(AllTests.of(Drain.AC));
    session
        .notes()
        .draft()
        .set(
            new NotesDraft(
                AllTests.of(Drain.AC),
                "2026-11-28",
                "1 % + 2 digits",
                "200 W",
                "",
                """
                17:05 100 %, 0 Wh
                17:06:30 load is on
                about 17:40 203 W, 112 Wh
                Mara: 202 W, display 47 %
                lamp row flickers at 3
                it cut out between 19:10 and 19:20
                433 Wh, E08"""));
  }

  /** Once the run that goes is over. */
  private void afterwards(Runnable then) {
    if (session.bench().going()) {
      PauseTransition again = new PauseTransition(Duration.millis(100));
      again.setOnFinished(e -> afterwards(then));
      again.play();
    } else {
      session.at().stage().set(StageName.BENCH);
      then.run();
    }
  }

  /** Plays it to its end, then shows what it found. */
  private boolean solarTrialShown() {
    if (!solarTrial.step() || session.bench().going()) {
      return false;
    }
    boolean found =
        session.shelf().chosen().get().runs().stream()
            .anyMatch(r -> r.run().id() == solarTrial.run());
    if (found && session.at().stage().get() != StageName.EVIDENCE) {
      session.at().shownRun().set(solarTrial.run());
      session.at().stage().set(StageName.EVIDENCE);
      return false;
    }
    // The page of a run comes once its readings are fetched.
    return found && scene.lookup("#look-FOUND") != null;
  }

  /** With the rig card of its first test. */
  private boolean tideShown() {
    Schedule schedule = session.planWork().schedule().get();
    if (schedule == null || schedule.packs().size() < 3) {
      return false;
    }
    schedule.steps().stream()
        .filter(s -> s.kind() == ScheduleStep.Kind.TEST)
        .findFirst()
        .ifPresent(s -> Row.choose(scene.lookup("#step-" + schedule.steps().indexOf(s))));
    return true;
  }

  private void press(KeyCode key) {
    Event.fireEvent(
        scene.getRoot(),
        new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
  }

  private boolean waysShown() {
    return scene.getRoot().lookupAll(".label").stream()
        .anyMatch(n -> n instanceof Label l && l.getText().startsWith("Best of what"));
  }

  /** The first run of the chosen unit whose title begins so. */
  private Long run(String title) {
    return session.shelf().chosen().get().runs().stream()
        .filter(r -> r.run().title().startsWith(title))
        .findFirst()
        .map(r -> r.run().id())
        .orElseThrow();
  }

  /** Chooses a unit and goes on when what was found of it is read. */
  private void choose(int place, Runnable then) {
    long id = session.shelf().places().get(place).unit().id();
    session.shelf().choose(id);
    // Asked for after the choice, so when it comes the choice is there.
    session.shelf().judged(id, read -> then.run());
  }

  private void takeMeterLog() {
    session
        .open()
        .background(
            () -> {
              Path file = Files.createTempDirectory("lantern-quay").resolve("stall-meter.csv");
              DemoWorkbook.writeMeterLog(session.open().workbook().orElseThrow(), file);
              return file;
            },
            session.readingIn()::take);
  }

  /** Whether what a day of the demo comes to, on both of its units, is on show. */
  private boolean workedOut(int day) {
    DayOutcome made = session.dayWork().outcome().get();
    return made != null
        && made.day().equals(session.dayWork().days().get(day).day())
        && made.units().size() == 2;
  }

  private void fire(String id) {
    if (scene.lookup(id) instanceof ButtonBase button) {
      button.fire();
    }
  }

  private boolean fired(String id) {
    if (scene.lookup(id) instanceof Button button) {
      button.fire();
      return true;
    }
    return false;
  }

  private boolean typed() {
    if (scene.lookup("#typed-TOTAL") instanceof TextField total && total.getText().isEmpty()) {
      total.setText(Math.round(session.bench().live().get().delivered()) + " kWh");
    }
    return true;
  }

  private boolean pageShown() {
    return scene.getRoot().lookupAll(".image-view").stream()
        .anyMatch(n -> n instanceof javafx.scene.image.ImageView v && v.getImage() != null);
  }

  private void add(String name, Runnable prepare, java.util.function.BooleanSupplier ready) {
    shots.add(new Shot(name, prepare, ready));
  }

  private void step() {
    if (shots.isEmpty()) {
      done.run();
      return;
    }
    Shot shot = shots.poll();
    waited = 0;
    if (shot.name().equals("verdict")) {
      await(shot);
    } else {
      shot.prepare().run();
      await(shot);
    }
  }

  private void await(Shot shot) {
    PauseTransition settle = new PauseTransition(Duration.millis(400));
    settle.setOnFinished(
        e -> {
          waited += 400;
          if (!shot.ready().getAsBoolean() && waited < LONGEST_WAIT) {
            await(shot);
            return;
          }
          afterWhatWaits(
              () -> {
                save(shot.name());
                step();
              });
        });
    settle.play();
  }

  /**
   * What a picture needs of the workbook is read behind what waits there, and shown a pulse later.
   */
  private void afterWhatWaits(Runnable then) {
    session
        .open()
        .background(
            () -> true,
            read -> {
              PauseTransition shown = new PauseTransition(Duration.millis(200));
              shown.setOnFinished(e -> then.run());
              shown.play();
            });
  }

  private void save(String name) {
    WritableImage image = scene.snapshot(null);
    int width = (int) image.getWidth();
    int height = (int) image.getHeight();
    BufferedImage out = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        out.setRGB(x, y, image.getPixelReader().getArgb(x, y));
      }
    }
    try {
      Files.createDirectories(folder);
      Path file = folder.resolve(name.toLowerCase(Locale.ROOT) + ".png");
      ImageIO.write(out, "png", file.toFile());
      System.out.println(file);
    } catch (IOException e) {
      System.err.println(folder + " cannot be written: " + e.getMessage());
    }
  }
}
