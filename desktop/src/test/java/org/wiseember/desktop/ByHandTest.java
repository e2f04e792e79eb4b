package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import org.testfx.api.FxRobot;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Now;
import org.wiseember.core.overload.Hold;
import org.wiseember.desktop.model.LiveRun;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.look.Palette;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.charge.ChargeRun;
import org.wiseember.trial.kind.drain.DrainRun;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.heat.HeatRun;
import org.wiseember.trial.kind.idle.IdleRun;
import org.wiseember.trial.kind.inspect.InspectionRun;
import org.wiseember.trial.kind.ladder.LadderRun;
import org.wiseember.trial.kind.legs.LegsRun;
import org.wiseember.trial.kind.overload.OverloadRun;
import org.wiseember.trial.kind.port.PortRun;
import org.wiseember.trial.kind.realload.RealLoadRun;
import org.wiseember.trial.kind.soak.SoakRun;
import org.wiseember.trial.kind.solar.SolarTrialRun;
import org.wiseember.trial.kind.start.StartsRun;
import org.wiseember.trial.kind.stays.StaysRun;
import org.wiseember.trial.kind.transfer.TransferRun;
import org.wiseember.trial.kind.usb.UsbRun;
import org.wiseember.trial.kind.waveform.WaveRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Run;

/** Every test by hand in a real window, by keyboard alone, from its start to what it says. */
public class ByHandTest {
  private static final String LABEL =
      """
      Capacity 320 Wh LiFePO4
      AC out 230 V~ 50 Hz, 600 W
      Overload 750 W for 60 s
      Surge 1200 W
      Pure sine wave, THD < 3 %
      12 V port: 10 A
      USB-C 60 W
      AC in 200 W, 0-100 % 2 h
      Idle < 12 W
      Efficiency 88 %
      Pass-through
      Switch-over < 20 ms
      5.2 kg
      """;

  /** What a tester may press besides the label's text and the digits of what was read. */
  private static final int MOST_PRESSES = 60;

  private Path folder;
  private WoundClock clock;
  private OpenWindow window;
  private FxRobot robot;
  private int presses;

  @BeforeClass
  public void openTheDemo() throws Exception {
    folder = Files.createTempDirectory("ember-by-hand");
    clock = new WoundClock();
    window = OpenWindow.on(DemoFile.in(folder), from -> clock);
    robot = window.robot();
    window.until(() -> window.session().shelf().chosen().get() != null);
  }

  @AfterClass(alwaysRun = true)
  public void closeIt() {
    window.close();
  }

  private Judgement unit() {
    return window.session().shelf().chosen().get();
  }

  private void push(KeyCode... keys) {
    presses++;
    robot.push(keys);
    window.settle();
  }

  /** Types; what is no digit counts as a press, as in a figure's unit. */
  private void write(String text) {
    presses += (int) text.chars().filter(c -> !Character.isDigit(c) && c != '.').count();
    robot.write(text);
  }

  private void line(String text) {
    int before = window.session().bench().live().get().notebook().get().size();
    // Nobody presses and writes at one moment.
    clock.on(0.01);
    write(text);
    push(KeyCode.ENTER);
    window.until(() -> window.session().bench().live().get().notebook().get().size() == before + 1);
  }

  private void key(KeyCode key) {
    LiveRun live = window.session().bench().live().get();
    int before = live.notebook().get().size();
    Optional<Now> asked = live.view().get().now();
    // No two presses are at one moment, so that each changes what is asked for or since when.
    clock.on(0.01);
    push(key);
    window.until(() -> live.notebook().get().size() == before + 1);
    // What is asked next is on show before the next key is pressed.
    window.until(() -> !live.going() || !live.view().get().now().equals(asked));
    window.settle();
  }

  private void find(String words) {
    push(KeyCode.CONTROL, KeyCode.K);
    window.until(() -> "find".equals(window.scene().getFocusOwner().getId()));
    write(words);
    push(KeyCode.ENTER);
  }

  /** From wherever one is to the first thing a test by hand asks for. */
  private void begin(String test) {
    find("by hand");
    find(test + " test");
    start();
  }

  private String going() {
    LiveRun live = window.session().bench().live().get();
    return live.run() + ", " + live.notebook().get();
  }

  private void start() {
    window.until(() -> window.session().bench().mayStart(window.session().bench().test().get()));
    window.until(() -> "start-test".equals(window.scene().getFocusOwner().getId()));
    push(KeyCode.ENTER);
    window.until(() -> window.session().bench().going());
    window.until(() -> "notebook-line".equals(window.scene().getFocusOwner().getId()));
  }

  /** From a pasted label over a drain to the saved page. */
  @Test
  public void aDrainFromLabelToPage() throws Exception {
    OpenWindow.onFx(
        () ->
            Clipboard.getSystemClipboard()
                .setContent(Map.of(javafx.scene.input.DataFormat.PLAIN_TEXT, LABEL)));
    presses = 0;
    push(KeyCode.CONTROL, KeyCode.N);
    window.until(() -> "unit-name".equals(window.scene().getFocusOwner().getId()));
    robot.write("Brackley Stall 320");
    push(KeyCode.ENTER);
    window.until(() -> "label-text".equals(window.scene().getFocusOwner().getId()));
    push(KeyCode.CONTROL, KeyCode.V);
    window.until(() -> unit().unit().label().claims().size() >= 12);
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    find("hand");
    start();
    line("100 %, 0 Wh");
    clock.on(10);
    key(KeyCode.F6);
    clock.on(1800);
    line("151 Wh");
    clock.on(1700);
    key(KeyCode.F6);
    line("293 Wh");
    push(KeyCode.F6);
    window.until(() -> !window.session().bench().going());
    window.until(() -> unit().drains().stream().anyMatch(Drained::complete));
    push(KeyCode.CONTROL, KeyCode.DIGIT8);
    window.until(() -> window.session().at().stage().get() == StageName.REPORT);
    window.idle();
    window.until(() -> "save-pdf".equals(window.scene().getFocusOwner().getId()));
    push(KeyCode.ENTER);
    window.untilShown("Saved ");
    assertTrue(Files.size(folder.resolve("Brackley Stall 320.pdf")) > 1000);
    assertEquals(unit().runs().size(), 1, "runs of one press of Start");
    assertEquals(unit().drains().get(0).finding().deliveredEnergy().orElseThrow().value(), 293.0);
    assertTrue(presses <= MOST_PRESSES, presses + " presses");
  }

  /** The test by hand with the longest of everything, in the smallest window and in the dark. */
  @Test(dependsOnMethods = "aDrainFromLabelToPage")
  public void nothingIsCutOrFaint() {
    begin("overload");
    line("231.2 V, case 24 °C, off charge for half an hour, room 21.5 °C, the far stall's heaters");
    key(KeyCode.F6);
    key(KeyCode.F6);
    clock.on(4);
    key(KeyCode.F6);
    clock.on(9000);
    robot.write("display 1 590 W out, 38 %, 1:20 to empty, 48 °C at the plug, E08, beeps twice");
    for (boolean small : new boolean[] {true, false}) {
      OpenWindow.onFx(
          () -> {
            window.stage().setWidth(small ? 1100 : 1280);
            window.stage().setHeight(small ? 700 : 800);
            window.session().look().textScale().set(small ? 1.5 : 1);
            window.session().look().palette().set(small ? Palette.LIGHT : Palette.DARK);
            return null;
          });
      window.until(() -> window.scene().getHeight() == (small ? 700 : 800));
      window.settle();
      assertEquals(
          String.join(
              "\n",
              OpenWindow.onFx(
                  () -> {
                    window.scene().getRoot().applyCss();
                    window.scene().getRoot().layout();
                    return LayoutCheck.problems(window.scene());
                  })),
          "");
    }
    OpenWindow.onFx(
        () -> {
          window.session().look().palette().set(Palette.LIGHT);
          window.session().bench().stopRun();
          return null;
        });
    window.until(() -> !window.session().bench().going());
  }

  /** Keys and lines of a test, {@code |} between them; a number alone winds the clock on so far. */
  @DataProvider
  public Object[][] tests() {
    return new Object[][] {
      {
        "DC drain",
        "100 %, 0 Wh, 0 Ah|5|F6|3600|151 Wh, 11.6 Ah|3000|F6|272 Wh, 20.9 Ah|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof DrainRun d
                    && d.complete()
                    && d.finding().deliveredEnergy().orElseThrow().value() == 272
                    && d.finding().deliveredCharge().orElseThrow().value() == 20.9
      },
      {
        "overload",
        "231 V|F6|60|301 W|F6|9|F6|20|653 W, 229 V|580|F7|900|F6|302 W|F6|F6|5|792 W|60|F6|48|F6|"
            + "900|F6|302 W|F6|F6|3|F6|50|F7|900|F6|302 W|F6|F6|2|993 W|4|F6|50|F7|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof OverloadRun o
                    && o.finding().holds().size() >= 3
                    && o.finding().holds().get(0).end() == Hold.End.TAKEN_OFF
                    && o.finding().trips().size() == 2
                    && o.warnings().stream().anyMatch(w -> w.code().equals("watts_not_read"))
      },
      {
        "motor starts",
        "F6|F6|29 A peak, 205 V|60|F6|F6|28 A peak|60|F6|F7|60|F7",
        (Predicate<TestRun>)
            r -> r instanceof StartsRun s && s.headline().orElseThrow().answer().equals("2 of 3")
      },
      {
        "switch-over",
        "598 W|F6|F6|F6|F6|F6|F7|F6|F6|F6|F6|F6",
        (Predicate<TestRun>) r -> r instanceof TransferRun t && t.figures().isEmpty()
      },
      {
        "what stays on",
        "AC on, USB back|F6|F6|F6|F6|F6|F7|F6|F8|F6|F6|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof StaysRun s
                    && s.pulls().orElseThrow().lampSteady() == 3
                    && s.pulls().orElseThrow().computerStayed() == 4
                    && s.alive().size() == 2
      },
      {
        "waveform",
        "F6|231 V, 50.0 Hz, 2.1 % THD|F6|F6|10|230 V, 2.4 % THD, 60 W|F6|F6|F6|F6|F6|F6|F6",
        (Predicate<TestRun>) r -> r instanceof WaveRun w && w.ownRead().size() == 2
      },
      {
        "idle draw",
        "F6|300|12.70 V, 0.96 A|300|12.70 V, 0.94 A|F6|F6|20|12.71 V, 0.90 A|F7",
        (Predicate<TestRun>)
            r -> r instanceof IdleRun i && i.states().get(0).finding().power().isPresent()
      },
      {
        "efficiency",
        "F6|F6|40|60.2 W, 12.71 V, 5.51 A|F6|F6|40|101 W, 12.62 V, 8.90 A|F6",
        (Predicate<TestRun>) r -> r instanceof LadderRun l && l.finding().points().size() == 2
      },
      {
        "efficiency",
        "F6|skip|F6|40|101 W, 12.62 V, 8.90 A|F6|that is enough",
        (Predicate<TestRun>)
            r ->
                r instanceof LadderRun l
                    && l.finding().points().size() == 1
                    && l.run().state() == Run.State.DONE
      },
      {
        "charge",
        "0 %, case 22 °C|F6|5|F6|60|196 W in|600|197 W in, 12 %|600|197 W in|3000|102 W in, 88 %|"
            + "1500|9 W in|600|F6|100 %|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof ChargeRun c
                    && c.finding().timeToFull().isPresent()
                    && c.finding().energyIn().orElseThrow().u95() > 5
      },
      {
        "12 V port",
        "13.3 V|F6|F6|20|13.28 V, 1.0 A|F6|F6|20|13.26 V, 2.5 A|F6|F6|20|13.2 V, 5.0 A|F6|F6|3|F7|"
            + "E08|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof PortRun p
                    && p.finding().points().size() == 3
                    && p.finding().tripAmps().isPresent()
      },
      {
        "USB",
        "5.02 V, 2.96 A|F6",
        (Predicate<TestRun>) r -> r instanceof UsbRun u && u.port().most().isPresent()
      },
      {
        "heat",
        "34 dB, room 21.5 °C, case 21.8 °C|F6|F6|240|38 dB, case 26.0 °C, room 21.6 °C, fan off|F6|"
            + "F6|240|44 dB, case 33 °C, room 21.8 °C, fan 1, 61 °C at the plug|F6",
        (Predicate<TestRun>)
            r -> r instanceof HeatRun h && h.rise().isPresent() && h.spot().isPresent()
      },
      {
        "soak",
        "58 W, 97 %, room 21 °C|F6|40000|F6|3600|81 %|F7|F9",
        (Predicate<TestRun>) r -> r instanceof SoakRun s && s.off().isPresent() && s.looks() == 2
      },
      {
        "full rating",
        "231 V|F6|F6|5|598 W, 229 V|600|F7|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof OverloadRun o
                    && o.finding().holds().size() == 1
                    && o.finding().holds().get(0).end() == Hold.End.TAKEN_OFF
      },
      {
        "solar trial",
        "F6|5|72 W, 80 200 lx, tilt 35|F6|60|F6|5|115 W, 80 000 lx|F6|60|F6|5|130 W, 79 900 lx|F6|"
            + "60|F6|5|96 W, 80 100 lx|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof SolarTrialRun s
                    && s.trial().tried().size() == 4
                    && s.trial().words().get(0).startsWith("This unit is the limit")
      },
      {
        "real loads",
        "0 Wh, 98 %|F6|F6|60|F6|F7|302 Wh, 83 %|F6|9|302 Wh, 83 %|F6|F6|F6|9|F6|F7|314 Wh, 83 %|F6|"
            + "9|83 %|F6|F6|9|F7|78 %|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof RealLoadRun l
                    && l.done().size() == 3
                    && l.done().get(0).each().orElseThrow().value() == 151
                    && l.done().get(1).goes().count() == 3
      },
      {
        "inspection",
        "solar cable missing|9|F7|9|12.1 kg|F6|9|F6|F6|9|4 s|F6|F8|F6|F6|F6|F9|F6|F6",
        (Predicate<TestRun>)
            r ->
                r instanceof InspectionRun i
                    && i.seen().size() == 11
                    && i.seen().get(0).note().equals("solar cable missing")
                    && i.weight().orElseThrow().value() == 12.1
                    && i.startUp().orElseThrow().u95() > 0.3
      },
      {
        "two units",
        "160 W, other leg 140 W|F6|30|1600 W, other leg 1400 W|F6",
        (Predicate<TestRun>) r -> r instanceof LegsRun l && l.legs().orElseThrow().load() == 2700
      },
    };
  }

  @Test(dataProvider = "tests", dependsOnMethods = "aDrainFromLabelToPage")
  public void byKeysAndLines(String test, String said, Predicate<TestRun> found) {
    begin(test);
    for (String step : said.split("\\|")) {
      boolean last = !window.session().bench().going();
      assertTrue(!last, test + " is over before " + step + ": " + going());
      if (step.matches("F\\d")) {
        key(KeyCode.valueOf(step));
      } else if (step.matches("\\d+")) {
        clock.on(Double.parseDouble(step));
      } else {
        line(step);
      }
    }
    long run = window.session().bench().live().get().run().runId();
    if (window.session().bench().going()) {
      OpenWindow.onFx(
          () -> {
            window.session().bench().stopRun();
            return null;
          });
    }
    window.until(() -> !window.session().bench().going());
    window.until(() -> unit().runs().stream().anyMatch(r -> r.run().id() == run && found.test(r)));
    push(KeyCode.CONTROL, KeyCode.DIGIT5);
    window.until(() -> window.session().at().stage().get() == StageName.VERDICT);
  }
}
