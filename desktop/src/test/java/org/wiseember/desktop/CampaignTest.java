package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.awt.geom.Rectangle2D;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Set;
import javafx.geometry.Point2D;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.ScheduleDrawings;
import org.wiseember.trial.plan.ScheduleStep;
import org.wiseember.workbook.plan.CampaignNotes;

/** From a fresh label to a plan that moves on by itself. */
public class CampaignTest extends InDemoWindow {
  private static final List<CampaignNotes.Present> ALWAYS =
      List.of(new CampaignNotes.Present(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT));

  private Schedule schedule() {
    return window.session().planWork().schedule().get();
  }

  private long chosen() {
    return window.session().shelf().chosen().get().unit().id();
  }

  private void labelled() {
    robot.push(KeyCode.CONTROL, KeyCode.N);
    window.until(
        () ->
            window.scene().getFocusOwner() instanceof TextField f
                && "unit-name".equals(f.getId())
                && f.getText().equals(f.getSelectedText()));
    robot.write("Lampwright 60");
    robot.push(KeyCode.ENTER);
    window.until(() -> "label-text".equals(window.scene().getFocusOwner().getId()));
    for (String line : List.of("60 Wh LFP", "Idle draw 9 W", "USB-C 60 W")) {
      robot.write(line);
      robot.push(KeyCode.ENTER);
    }
    window.until(
        () ->
            window.session().shelf().chosen().get().unit().name().equals("Lampwright 60")
                && window.session().shelf().chosen().get().unit().label().claims().size() >= 3);
  }

  /** Runs what stands ready at 600×, and waits until the plan has moved on. */
  private TestType run() {
    ScheduleStep next = schedule().nextTest(chosen()).orElseThrow();
    TestType type = next.wanted().orElseThrow().plan().type();
    long tests = schedule().tests();
    window.until(() -> window.session().bench().test().get().equals(type));
    window.untilShown("next in your plan");
    int runs = window.session().shelf().chosen().get().runs().size();
    window.click("start-test");
    window.until(() -> window.session().bench().going());
    window.until(() -> schedule().steps().get(0).kind() == ScheduleStep.Kind.RUNNING);
    window.until(() -> !window.session().bench().going());
    window.until(() -> window.session().shelf().chosen().get().runs().size() == runs + 1);
    window.until(
        () -> schedule().tests() < tests && schedule().step(chosen(), type.key()).isEmpty());
    // What it found stays on show until somebody goes on.
    assertEquals(window.session().bench().test().get(), type);
    window.until(() -> window.node("result").isVisible());
    return type;
  }

  @Test
  public void fromAFreshLabelThePlanMovesOn() {
    labelled();
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.until(() -> schedule() != null);
    // The demo plans three others together; this one is planned by itself.
    window.until(() -> schedule().packs().keySet().equals(Set.of(chosen())));
    window.untilShown("Lampwright 60 is planned by itself");
    window.untilShown("Nobody read how full it is");
    window.replace("plan-charge-" + chosen(), "100");
    robot.push(KeyCode.ENTER);
    window.until(() -> schedule().packs().get(chosen()).known());
    // USB is made by hand, and elsewhere.
    ScheduleStep usb = schedule().step(chosen(), "usb").orElseThrow();
    window.click("step-" + schedule().steps().indexOf(usb));
    window.click("elsewhere-step");
    window.until(() -> schedule().step(chosen(), "usb").isEmpty());
    window.untilShown("It is done elsewhere.");
    assertEquals(schedule().tests(), 2);
    window.click("step-0");
    window.click("to-bench");
    window.until(() -> window.session().at().stage().get() == StageName.BENCH);
    OpenWindow.onFx(
        () -> {
          window.session().bench().setPace(Pace.SIX_HUNDRED);
          return null;
        });
    TestType first = run();
    window.click("next-test");
    TestType second = run();
    assertTrue(!first.equals(second));
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.untilShown("Nothing is to be done");
  }

  /** What nobody measures is said to have been begun, and to be over. */
  @Test
  public void aRunDownInBetweenIsBegunByHand() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.until(() -> schedule() != null && schedule().packs().containsKey(chosen()));
    window.replace("plan-charge-" + chosen(), "40");
    robot.push(KeyCode.ENTER);
    window.until(() -> schedule().packs().get(chosen()).percent() == 40);
    // What can be made at 40 % is made first; without it the run-down before a timed charge is
    // next.
    while (schedule().next(chosen()).orElseThrow().kind() == ScheduleStep.Kind.TEST) {
      ScheduleStep test = schedule().next(chosen()).orElseThrow();
      window.click("step-" + schedule().steps().indexOf(test));
      window.click("drop-step");
      window.until(() -> schedule().step(chosen(), test.wanted().orElseThrow().key()).isEmpty());
    }
    ScheduleStep down = schedule().next(chosen()).orElseThrow();
    window.click("step-" + schedule().steps().indexOf(down));
    window.click("begin-step");
    window.until(() -> schedule().packs().get(chosen()).underWay().isPresent());
    ScheduleStep going = schedule().steps().get(0);
    assertEquals(going.kind(), ScheduleStep.Kind.RUNNING);
    assertEquals(going.chargeTo(), down.chargeTo());
    assertTrue(
        schedule().steps().stream().skip(1).noneMatch(s -> s.from().isBefore(going.to())),
        "the unit is busy until it is over");
    window.untilShown("runs, over at");
    window.click("step-0");
    window.click("over-step");
    window.until(() -> schedule().packs().get(chosen()).percent() == down.chargeTo());
    assertTrue(schedule().packs().get(chosen()).underWay().isEmpty());
    window.untilShown("should be over; type what its display shows");
    // Undone, it goes on; undone once more nobody began it.
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> schedule().packs().get(chosen()).underWay().isPresent());
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> schedule().packs().get(chosen()).percent() == 40);
  }

  /** Takes a bar along its lane. */
  private void drag(ScheduleStep step, double hours) {
    // Scrolls there.
    window.click("tide-chart");
    double[] at =
        OpenWindow.onFx(
            () -> {
              ChartPane chart = (ChartPane) window.scene().lookup("#tide-chart");
              Rectangle2D lanes = chart.parts().get(1);
              Schedule schedule = schedule();
              int many = schedule.packs().size() + 4;
              int lane = List.copyOf(schedule.packs().keySet()).indexOf(step.unit());
              double hour = lanes.getWidth() / ScheduleDrawings.hours(schedule);
              double from =
                  Duration.between(ScheduleDrawings.begins(schedule), step.from()).toSeconds()
                      / 3600.0;
              Point2D screen =
                  chart.localToScreen(
                      lanes.getX() + hour * from + 2,
                      lanes.getY() + lanes.getHeight() * (lane + 0.5) / many);
              return new double[] {screen.getX(), screen.getY(), hour};
            });
    robot.drag(at[0], at[1], MouseButton.PRIMARY);
    robot.moveBy(at[2] * hours / 2, 0);
    robot.moveBy(at[2] * hours / 2, 0);
    robot.drop();
    window.settle();
  }

  /** A bar that is taken along its lane is pinned where it is let go. */
  @Test
  public void aBarIsDragged() {
    window.choose(1);
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT2);
    window.until(() -> schedule() != null && schedule().nextTest(2).isPresent());
    window.idle();
    ScheduleStep free =
        schedule().steps().stream()
            .filter(s -> s.unit() == 2 && s.kind() == ScheduleStep.Kind.TEST)
            .reduce((a, b) -> b)
            .orElseThrow();
    String key = free.wanted().orElseThrow().key();
    drag(free, 1.5);
    window.until(() -> window.session().planWork().notes().pin(2, key).isPresent());
    Instant pin = window.session().planWork().notes().pin(2, key).orElseThrow();
    long moved = Duration.between(free.from(), pin).toMinutes();
    assertTrue(Math.abs(moved - 90) <= 10, "dragged by " + moved + " min");
  }

  /** A test pinned by arrow and by typing stays there; undo takes the pin out; both are printed. */
  @Test
  public void pinsAreKeptAndPrinted() throws Exception {
    window.choose(1);
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.PLAN);
          // Whatever the hour is, somebody is there.
          window
              .session()
              .planWork()
              .note(window.session().planWork().notes().present(ALWAYS), "there");
          return null;
        });
    window.until(
        () ->
            schedule() != null
                && schedule().packs().containsKey(2L)
                && schedule().nextTest(2).isPresent());
    window.settle();
    ScheduleStep last =
        schedule().steps().stream()
            .filter(s -> s.unit() == 2 && s.kind() == ScheduleStep.Kind.TEST)
            .reduce((a, b) -> b)
            .orElseThrow();
    String key = last.wanted().orElseThrow().key();
    int row = schedule().steps().indexOf(last);
    window.click("step-" + row);
    robot.push(KeyCode.RIGHT);
    window.until(() -> schedule().step(2, key).filter(ScheduleStep::pinned).isPresent());
    Instant pinned = schedule().step(2, key).orElseThrow().from();
    assertEquals(Duration.between(last.from(), pinned).toMinutes(), 15);
    window.click("unpin-step");
    window.until(() -> schedule().step(2, key).filter(s -> !s.pinned()).isPresent());
    window.replace("pin-time", "+2 10:30");
    robot.push(KeyCode.ENTER);
    window.until(() -> schedule().step(2, key).filter(ScheduleStep::pinned).isPresent());
    window.click("unpin-step");
    window.until(() -> schedule().step(2, key).filter(s -> !s.pinned()).isPresent());
    window.idle();
    // Right after what comes before it, which it touches.
    drag(schedule().step(2, key).orElseThrow(), 1.5);
    window.until(() -> schedule().step(2, key).filter(ScheduleStep::pinned).isPresent());
    window.replace("pin-time", "half past");
    robot.push(KeyCode.ENTER);
    window.untilShown("is no time; type 14:20");
    Path calendar = folder.resolve("plan.ics");
    window.replace("calendar-file", calendar.toString());
    window.click("save-calendar");
    window.until(() -> Files.exists(calendar));
    assertTrue(Files.readString(calendar).startsWith("BEGIN:VCALENDAR"));
    Path sheet = folder.resolve("plan.pdf");
    window.replace("plan-file", sheet.toString());
    window.click("save-plan-pdf");
    window.until(() -> Files.exists(sheet));
    window.idle();
    try (PDDocument pdf = Loader.loadPDF(sheet.toFile())) {
      String text = new PDFTextStripper().getText(pdf);
      assertTrue(text.contains("Before you start"), text);
      assertTrue(text.contains("licensed electrician"), text);
    }
  }
}
