package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testfx.api.FxRobot;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.workbook.StoredDay;
import org.wiseember.workbook.Watches;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.day.DayJson;

/**
 * Days laid out in a real window: by keyboard alone, and with the mouse. The window is opened once;
 * every test lays out a day of its own.
 */
public class RunTimeTest {
  private Path folder;
  private OpenWindow window;
  private FxRobot robot;
  private Keys keys;

  /** The demo with its units and runs, and nothing laid out. */
  @BeforeClass
  public void open() throws Exception {
    folder = Files.createTempDirectory("ember-run-time");
    Path file = DemoFile.in(folder);
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      workbook.days().all().days().forEach(d -> workbook.days().removed(d.id(), true));
      long spare = workbook.units().add("Spare 2k4").id();
      workbook.units().label(spare, "Rated capacity 2 400 Wh\n2200 W", List.of());
    }
    window = OpenWindow.on(file);
    robot = window.robot();
    keys = new Keys(window);
    window.until(() -> window.session().shelf().chosen().get() != null);
  }

  @AfterClass(alwaysRun = true)
  public void close() {
    window.close();
  }

  private Day day() {
    return OpenWindow.onFx(() -> window.session().dayWork().chosen().get().day());
  }

  private Appliance appliance(int place) {
    return day().appliances().get(place);
  }

  private void outcomeOf(Day wanted) {
    window.until(
        () -> {
          DayOutcome made = window.session().dayWork().outcome().get();
          return made != null && made.day().equals(wanted);
        });
    window.settle();
  }

  /** Before the others: the stage is empty only once. */
  @Test(priority = -1)
  public void fromAnEmptyStageToAPrintedSheet() throws Exception {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT7);
    window.untilShown("Lay out a day");
    keys.press("add-first-day");
    window.until(() -> window.session().dayWork().chosen().get() != null);
    keys.fill("day-title", "Dumpling stall");
    keys.fill("day-start", "17:00");
    keys.fill("day-hours", "10");
    window.until(() -> day().plan().hours() == 10);
    keys.press("add-appliance");
    window.until(() -> day().appliances().size() == 1);
    keys.fill("appliance-name", "Steamer");
    keys.choose("appliance-use-STEADY", "appliance-use-CYCLING");
    keys.fill("appliance-watts", "480");
    keys.fill("appliance-energy", "165");
    keys.choose("appliance-origin-NOT_SAID", "appliance-origin-WATCHED");
    keys.fill("appliance-times", "18:00-22:00");
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(1, 5))));
    keys.press("appliance-done");
    keys.press("add-appliance");
    window.until(() -> day().appliances().size() == 2);
    keys.fill("appliance-name", "Mixer");
    keys.choose("appliance-use-STEADY", "appliance-use-SHORT");
    keys.fill("appliance-watts", "410");
    keys.fill("appliance-minutes", "6");
    keys.fill("appliance-start", "1900");
    keys.fill("appliance-times", "19:00, 20:30");
    window.until(() -> appliance(1).at().equals(List.of(2.0, 3.5)));
    assertEquals(appliance(0).draw().use(), ApplianceDraw.Use.CYCLING);
    assertEquals(appliance(0).draw().wattHours(), 165.0);
    assertEquals(appliance(0).draw().origin(), ApplianceDraw.Origin.WATCHED);
    assertEquals(appliance(1).draw().startVa(), 1900.0);
    assertEquals(appliance(1).draw().minutes(), 6.0);
    // Something that cannot be is said and changes nothing.
    keys.fill("appliance-times", "25:00");
    window.untilShown("holds no time of day");
    assertEquals(appliance(1).at(), List.of(2.0, 3.5));
    keys.press("appliance-done");
    // The bar moves by its arrows and grows with Shift; undo takes that back.
    keys.tabTo("bar-0-0");
    robot.push(KeyCode.RIGHT);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(1.25, 5.25))));
    window.settle();
    robot.push(KeyCode.SHIFT, KeyCode.RIGHT);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(1.25, 5.5))));
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(1, 5))));
    outcomeOf(day());
    window.untilShown("Start of Mixer");
    Path sheet = folder.resolve("sheet.pdf");
    keys.fill("day-file", sheet.toString());
    keys.press("save-day-pdf");
    window.untilShown("Saved " + sheet);
    try (PDDocument pdf = Loader.loadPDF(sheet.toFile())) {
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertTrue(text.contains("Dumpling stall"), text);
      assertTrue(text.contains("Steamer") && text.contains("480 W, 165 Wh an hour"), text);
      assertTrue(text.contains("Lasts until") || text.contains("Runs out"), text);
      assertTrue(text.toLowerCase(Locale.ROOT).contains("licensed electrician"), text);
    }
    keys.press("save-day-json");
    Path json = folder.resolve("sheet.json");
    window.untilShown("Saved " + json);
    assertEquals(DayJson.read(Files.readString(json)).day().appliances(), day().appliances());
    assertTrue(DayJson.read(Files.readString(json)).unit().isPresent());
    Day last = day();
    window.idle();
    try (Workbook kept = Workbook.read(folder.resolve("demo.ember"), Clock.systemUTC())) {
      assertEquals(kept.days().all().days().get(0).day(), last);
    }
  }

  /** A window with one steady thing on from 18:00 to 20:00 in a day from 16:00 on. */
  private void layOut() {
    Day plain =
        Day.empty("Plain", LocalTime.of(16, 0), 8)
            .adding(
                new Appliance(
                    "Lamp",
                    new ApplianceDraw(
                        ApplianceDraw.Use.STEADY, 100, Double.NaN, Double.NaN, Double.NaN),
                    Side.AC,
                    List.of(new HourSpan(2, 4)),
                    List.of()));
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.RUN_TIME);
          window.session().shelf().choose(window.session().shelf().places().get(0).unit().id());
          window.session().dayWork().add();
          return null;
        });
    window.until(
        () ->
            window.session().shelf().chosen().get().unit().name().startsWith("Quernfold")
                && window.session().dayWork().chosen().get() != null
                && day().appliances().isEmpty());
    window.settle();
    if (!OpenWindow.onFx(
        () -> window.node("run-time-DAY") instanceof ToggleButton b && b.isSelected())) {
      window.click("run-time-DAY");
    }
    OpenWindow.onFx(
        () -> {
          window.session().dayWork().change(plain, "Laid out");
          return null;
        });
    outcomeOf(plain);
  }

  @Test
  public void barsAreDragged() {
    layOut();
    Node bar = window.node("bar-0-0");
    double hour = OpenWindow.onFx(() -> bar.getBoundsInParent().getWidth()) / 2;
    drag(bar, 0.5, hour);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(3, 5))));
    outcomeOf(day());
    drag(window.node("bar-0-0"), 0.99, hour);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(3, 6))));
    outcomeOf(day());
    drag(window.node("bar-0-0"), 0.01, -2 * hour);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(1, 6))));
    outcomeOf(day());
    // No further than the day goes.
    drag(window.node("bar-0-0"), 0.5, -9 * hour);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(0, 5))));
    robot.push(KeyCode.DELETE);
    window.until(() -> appliance(0).on().isEmpty());
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> appliance(0).on().equals(List.of(new HourSpan(0, 5))));
  }

  private void drag(Node bar, double share, double by) {
    window.settle();
    var at =
        OpenWindow.onFx(
            () -> {
              var bounds = bar.localToScreen(bar.getBoundsInLocal());
              return new Point2D(
                  bounds.getMinX() + share * bounds.getWidth(),
                  bounds.getMinY() + bounds.getHeight() / 2);
            });
    robot.moveTo(at);
    robot.press(MouseButton.PRIMARY);
    robot.moveTo(at.add(by / 2, 0));
    robot.moveTo(at.add(by, 0));
    robot.release(MouseButton.PRIMARY);
    window.settle();
  }

  /** The label of one unit alone is a guess, and is said to be; a drained one stands beside it. */
  @Test
  public void unitsStandBesideEachOther() {
    layOut();
    OpenWindow.onFx(
        () -> {
          window.session().shelf().choose(window.session().shelf().places().get(5).unit().id());
          return null;
        });
    window.untilShown("85 % of the");
    window.click("beside-" + window.session().shelf().places().get(0).unit().id());
    window.until(() -> window.session().dayWork().outcome().get().units().size() == 2);
    window.untilShown("One after the other");
    DayOutcome both = window.session().dayWork().outcome().get();
    assertEquals(both.units().get(0).name(), "Spare 2k4");
    assertTrue(both.units().get(0).asked().unit().guessed());
    assertTrue(!both.units().get(1).asked().unit().guessed());
    StoredDay kept = window.session().dayWork().chosen().get();
    assertEquals(kept.units().size(), 1);
  }

  /** From no feed to a generator behind a charger and a battery, then to one that stalls. */
  @Test
  public void feedsAreBuiltAndNamed() {
    layOut();
    window.click("run-time-FEEDS");
    window.click("feed-begin-battery");
    window.until(() -> day().feed().isPresent());
    window.untilShown("Into the unit");
    window.replace("feed-0-amps", "4");
    robot.push(KeyCode.ENTER);
    window.until(() -> ((Feed.Port) day().feed().orElseThrow()).amps() == 4);
    outcomeOf(day());
    window.untilShown("held back by its amps");
    window.untilShown("Engines run outdoors");
    window.replace("feed-3-va", "500");
    robot.push(KeyCode.ENTER);
    window.untilShown("More than it gives");
    window.click("feed-0-off");
    window.until(() -> day().feed().isEmpty());
    window.click("feed-begin-panels");
    window.until(() -> day().feed().isPresent());
    window.untilShown("the same every day");
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> day().feed().isEmpty());
  }

  /**
   * Typed once, a watch is kept with the appliance, told, taken into the day, and offered again.
   */
  @Test
  public void aWatchIsKeptAndTaken() {
    layOut();
    window.click("appliance-0");
    window.click("appliance-use-CYCLING");
    window.until(() -> appliance(0).draw().use() == ApplianceDraw.Use.CYCLING);
    window.settle();
    window.replace("watch-kwh", "2.13");
    window.click("keep-watch");
    window.untilShown("A watch takes time");
    window.replace("watch-hours", "25");
    window.replace("watch-minutes", "13");
    window.replace("watch-running", "52");
    window.replace("watch-highest", "383");
    window.click("keep-watch");
    window.until(() -> appliance(0).draw().origin() == ApplianceDraw.Origin.WATCHED);
    window.until(() -> window.session().beside().watches().size() == 2);
    Watches.Kept kept = window.session().beside().watches().get(1);
    window.untilShown(kept.sheet().mean().words() + " on average");
    window.untilShown("a heater that defrosts or preheats");
    assertEquals(appliance(0).draw().wattHours(), 2130 / (25 + 13 / 60.0), 1e-9);
    assertEquals(appliance(0).draw().watts(), 383.0);
    window.click("watched-" + kept.runId());
    window.until(() -> day().appliances().size() == 2);
    assertEquals(appliance(1).name(), "Lamp");
    OpenWindow.onFx(
        () -> {
          window.session().open().undo();
          window.session().open().undo();
          window.session().open().undo();
          return null;
        });
    window.until(() -> window.session().beside().watches().size() == 1);
  }
}
