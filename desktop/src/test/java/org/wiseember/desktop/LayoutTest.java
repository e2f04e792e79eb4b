package org.wiseember.desktop;

import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Charge;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.simulated.Fault;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.trace.Treatment;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.look.Palette;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.onhand.ChargeSetting;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * Every stage at every size, size of text and palette: no text cut, elided, overlapping or faint.
 */
public class LayoutTest {
  private static final int[][] SIZES = {{1100, 700}, {1280, 800}, {1920, 1200}};

  private Path folder;
  private Path log;
  private Path scope;
  private OpenWindow full;
  private OpenWindow empty;

  @BeforeClass
  public void open() throws Exception {
    folder = Files.createTempDirectory("ember-layout");
    Path demo = DemoFile.in(folder);
    try (Workbook workbook = Workbook.open(demo, Clock.systemUTC())) {
      workbook.title("Lantern Quay night market co-operative, lending pool and spare units, 2026");
      TestedUnit first = workbook.units().all().get(0);
      workbook
          .units()
          .rename(
              first.id(), "Quernfold Mountain Rescue Edition Q1100 Plus, second batch, loan 14");
      Day longest =
          Day.empty(
                  "Everything at the far end of the quay from the first stall to the last, and back",
                  LocalTime.of(6, 45),
                  336)
              .with(
                  List.of(
                      new Appliance(
                          "The refrigerated counter with the humming lamp beside the fish stall",
                          new ApplianceDraw(ApplianceDraw.Use.CYCLING, 130, 84.5, Double.NaN, 700)
                              .from(ApplianceDraw.Origin.WATCHED),
                          Side.AC,
                          List.of(HourSpan.ALWAYS),
                          List.of())))
              .fed(
                  Optional.of(
                      new Feed.PassThrough(
                          List.of(
                              new Feed.Alternating(
                                  "generator", 1600, List.of(new HourSpan(2, 300)))))));
      workbook.days().add(longest, workbook.units().all().stream().map(TestedUnit::id).toList());
      workbook
          .units()
          .label(
              first.id(),
              first.label().text()
                  + "Overload: 1250 W for 10 minutes, 1500 W for 2 minutes, 2400 W for 1 second\n"
                  + "Capacity -5 Wh\n",
              List.of());
    }
    try (Workbook workbook = Workbook.open(demo, Clock.systemUTC())) {
      long drain = workbook.runs().of(workbook.units().all().get(0).id()).get(0).id();
      workbook
          .treatments()
          .decide(
              drain,
              Treatment.NONE
                  .leavingOut(
                      new Treatment.LeftOut(600, 660, "the plug of the far stall was loose"))
                  .withCutoff(OptionalDouble.of(5000))
                  .withStandingWatts(1.5));
    }
    log = folder.resolve("a log with quite a long name from the meter at the far stall.csv");
    try (Workbook workbook = Workbook.open(demo, Clock.systemUTC())) {
      DemoWorkbook.writeMeterLog(workbook, log);
    }
    scope = folder.resolve("a capture of the outlet behind the transformer at the far stall.csv");
    DemoWorkbook.writeScopeFile(scope);
    full = OpenWindow.on(demo);
    full.until(() -> full.session().shelf().chosen().get() != null);
    OpenWindow.onFx(
        () -> {
          full.session().bench().setPace(Pace.TEN);
          full.session().bench().faults().addAll(List.of(Fault.values()));
          full.session().bench().start();
          return null;
        });
    full.until(
        () ->
            full.session().bench().live().get() != null
                && full.session().bench().live().get().view().get() != null);
    empty = OpenWindow.on(folder.resolve("empty.ember"));
  }

  @AfterClass(alwaysRun = true)
  public void close() {
    full.close();
    empty.close();
  }

  @DataProvider
  Object[][] looks() {
    List<Object[]> looks = new ArrayList<>();
    for (int[] size : SIZES) {
      for (double scale : new double[] {1, 1.5}) {
        looks.add(new Object[] {size[0], size[1], scale, false});
        if (size == SIZES[1]) {
          // Colours move nothing: one size is enough to tell what is faint in the dark.
          looks.add(new Object[] {size[0], size[1], scale, true});
        }
      }
    }
    return looks.toArray(Object[][]::new);
  }

  @Test(dataProvider = "looks")
  public void everyStageWithTheLongestNames(int width, int height, double scale, boolean dark) {
    check(full, width, height, scale, dark);
  }

  /** An empty stage is short: the smallest window with the largest text, and the usual one. */
  @DataProvider
  Object[][] someLooks() {
    return new Object[][] {{1100, 700, 1.5, false}, {1280, 800, 1.0, true}};
  }

  @Test(dataProvider = "someLooks")
  public void everyStageOfAnEmptyShelf(int width, int height, double scale, boolean dark) {
    check(empty, width, height, scale, dark);
  }

  /** The pages within the stages are many: where room is scarcest, and where it is darkest. */
  private static boolean withItsPages(int width, double scale, boolean dark) {
    return dark ? scale == 1 : width == SIZES[0][0] && scale > 1;
  }

  private void check(OpenWindow window, int width, int height, double scale, boolean dark) {
    OpenWindow.onFx(
        () -> {
          window.stage().setWidth(width);
          window.stage().setHeight(height);
          window.session().look().textScale().set(scale);
          window.session().look().palette().set(dark ? Palette.DARK : Palette.LIGHT);
          return null;
        });
    window.until(() -> window.scene().getWidth() == width && window.scene().getHeight() == height);
    Set<String> problems = new TreeSet<>();
    for (StageName stage : StageName.values()) {
      OpenWindow.onFx(
          () -> {
            window.session().at().stage().set(stage);
            return null;
          });
      window.settle();
      if (stage == StageName.REPORT && window.session().shelf().chosen().get() != null) {
        window.until(
            () ->
                window.scene().getRoot().lookupAll(".image-view").stream()
                    .anyMatch(n -> n instanceof ImageView v && v.getImage() != null));
      }
      window.settle();
      for (String problem :
          OpenWindow.onFx(
              () -> {
                window.scene().getRoot().applyCss();
                window.scene().getRoot().layout();
                return LayoutCheck.problems(window.scene());
              })) {
        problems.add(stage.words() + ": " + problem);
      }
    }
    if (window == full && withItsPages(width, scale, dark)) {
      checkPlan(problems);
      checkRunTime(problems);
      checkBench(problems);
      checkEvidence(problems);
    }
    assertTrue(problems.isEmpty(), String.join("\n", problems));
  }

  /** The pages of the plan, for a unit with a solar port and one without. */
  private void checkPlan(Set<String> problems) {
    OpenWindow.onFx(
        () -> {
          full.session().at().stage().set(StageName.PLAN);
          return null;
        });
    full.until(() -> full.session().planWork().schedule().get() != null);
    OpenWindow.onFx(
        () -> {
          full.session()
              .planWork()
              .note(
                  full.session()
                      .planWork()
                      .notes()
                      .of(
                          full.session().shelf().places().stream()
                              .map(p -> p.unit().id())
                              .toList()),
                  "all");
          return null;
        });
    full.until(
        () ->
            full.session().planWork().schedule().get().packs().size()
                == full.session().shelf().places().size());
    problemsOf("Plan, what comes when", problems);
    for (String step : List.of("step-0", "step-3")) {
      OpenWindow.onFx(
          () -> {
            Row.choose(full.scene().lookup("#" + step));
            return null;
          });
      full.settle();
      problemsOf("Plan, " + step, problems);
    }
    press("plan-SOLAR");
    full.untilShown("Best of what you have");
    problemsOf("Plan, solar port", problems);
    press("plan-CABLES");
    problemsOf("Plan, cables", problems);
    press("plan-SOLAR");
    full.choose(4);
    problemsOf("Plan without a port", problems);
    full.choose(0);
    press("plan-CAMPAIGN");
  }

  /** Days with their appliances and their feeds. */
  private void checkRunTime(Set<String> problems) {
    OpenWindow.onFx(
        () -> {
          full.session().at().stage().set(StageName.RUN_TIME);
          return null;
        });
    List<StoredDay> days = List.copyOf(full.session().dayWork().days());
    // The one with the longest names, and the one with most links in its feed.
    for (StoredDay day : List.of(days.get(days.size() - 1), days.get(2))) {
      OpenWindow.onFx(
          () -> {
            full.session().dayWork().choose(day);
            return null;
          });
      full.until(
          () ->
              full.session().dayWork().outcome().get() != null
                  && full.session().dayWork().outcome().get().day().equals(day.day()));
      problemsOf("Run-time, " + day.day().title(), problems);
      OpenWindow.onFx(
          () -> {
            Row.choose(full.scene().lookup("#appliance-0"));
            return null;
          });
      problemsOf("An appliance of " + day.day().title(), problems);
      press("run-time-FEEDS");
      problemsOf("Feeds of " + day.day().title(), problems);
      press("run-time-DAY");
    }
  }

  private void press(String id) {
    OpenWindow.onFx(
        () -> {
          ((ButtonBase) full.scene().lookup("#" + id)).fire();
          return null;
        });
    full.settle();
  }

  /** What a stage alone does not show: a running test, its instruments, a log to be read in. */
  private void checkBench(Set<String> problems) {
    full.choose(0);
    OpenWindow.onFx(
        () -> {
          full.session().at().stage().set(StageName.BENCH);
          ((TextField) full.scene().lookup("#typed-TOTAL")).setText("609 kWh");
          return null;
        });
    problemsOf("Running bench", problems);
    full.choose(2);
    problemsOf("Bench with a run cut short", problems);
    for (RunSettings.Source source : RunSettings.Source.values()) {
      OpenWindow.onFx(
          () -> {
            full.session().bench().source().set(source);
            return null;
          });
      problemsOf("Set-up, " + source, problems);
      if (source == RunSettings.Source.INSTRUMENTS) {
        OpenWindow.onFx(
            () -> {
              ((Button) full.scene().lookup("#to-instruments")).fire();
              return null;
            });
        problemsOf("Instruments", problems);
        OpenWindow.onFx(
            () -> {
              ((Button) full.scene().lookup("#back-to-bench")).fire();
              return null;
            });
      }
    }
    full.choose(0);
    OpenWindow.onFx(
        () -> {
          full.session().bench().source().set(RunSettings.Source.SIMULATED);
          full.session().readingIn().take(log);
          return null;
        });
    full.until(() -> full.session().readingIn().draft().get() != null);
    problemsOf("Log", problems);
    OpenWindow.onFx(
        () -> {
          full.session().readingIn().forget();
          full.session().readingIn().take(scope);
          return null;
        });
    full.until(() -> full.session().captures().draft().get() != null);
    problemsOf("Capture", problems);
    OpenWindow.onFx(
        () -> {
          full.session().captures().forget();
          return null;
        });
  }

  /** Every run of the demo, one with decisions, and all drains together. */
  private void checkEvidence(Set<String> problems) {
    OpenWindow.onFx(
        () -> {
          full.session().at().stage().set(StageName.EVIDENCE);
          return null;
        });
    List<TestRun> runs =
        full.session().shelf().chosen().get().runs().stream()
            .filter(r -> r.run().state() == Run.State.DONE)
            .toList();
    for (TestRun run : runs) {
      OpenWindow.onFx(
          () -> {
            full.session().at().shownRun().set(run.run().id());
            return null;
          });
      problemsOf("Evidence, " + run.run().title(), problems);
      if (full.scene().lookup("#chart-1") != null) {
        press("chart-1");
        problemsOf(run.run().title() + ", its second chart", problems);
      }
    }
    OpenWindow.onFx(
        () -> {
          full.session().at().shownRun().set(runs.get(0).run().id());
          Row.choose(full.scene().lookup("#together"));
          return null;
        });
    problemsOf("All drains together", problems);
    full.choose(3);
    OpenWindow.onFx(
        () -> {
          full.session().at().shownRun().set(runs.get(0).run().id());
          full.session().at().stage().set(StageName.BENCH);
          return null;
        });
    for (TestType kind : AllTests.list()) {
      OpenWindow.onFx(
          () -> {
            full.session().bench().test().set(kind);
            return null;
          });
      problemsOf("Bench for an inverter, " + kind.words(), problems);
    }
    full.choose(2);
    OpenWindow.onFx(
        () -> {
          full.session().bench().test().set(AllTests.of(Charge.KIND));
          full.session()
              .bench()
              .have(
                  ChargeSetting.ASK,
                  ChargeSetting.WALL.adding(ChargeSource.SOLAR).adding(ChargeSource.USB_C));
          return null;
        });
    problemsOf("Bench, charge from everything", problems);
    full.choose(0);
    OpenWindow.onFx(
        () -> {
          full.session().bench().test().set(AllTests.of(Drain.AC));
          return null;
        });
  }

  private void problemsOf(String page, Set<String> problems) {
    full.settle();
    for (String problem :
        OpenWindow.onFx(
            () -> {
              full.scene().getRoot().applyCss();
              full.scene().getRoot().layout();
              return LayoutCheck.problems(full.scene());
            })) {
      problems.add(page + ": " + problem);
    }
  }
}
