package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.desktop.model.StageName;

/**
 * Tab alone leads round the window in the order of work: the unit, the stage, what is on it from
 * the first thing to do to the last, the foot; and on every stage comes back to where it began.
 */
public class TabWalkTest extends InDemoWindow {
  private static final int MOST_STOPS = 90;

  /** What a stage has to lead through, in this order, with anything between. */
  private static final Map<StageName, List<String>> WORK =
      Map.of(
          StageName.LABEL,
          List.of("unit-name", "label-text", "Chemistry", "Capacity", "Warranty", "to-bench"),
          StageName.PLAN,
          List.of(
              "plan-CAMPAIGN",
              "plan-unit-1",
              "plan-present",
              "plan-charge-",
              "away-LOADS",
              "step-0",
              "add-",
              "plan-file",
              "save-plan-pdf",
              "calendar-file",
              "save-calendar"),
          StageName.BENCH,
          List.of("another-test", "source-SIMULATED", "fault-", "start-test", "pace-"),
          StageName.EVIDENCE,
          List.of(
              "tab-ENERGY",
              "run-1",
              "run-23",
              "set-aside",
              "pack-run",
              "AC energy delivered",
              "cursors"),
          StageName.VERDICT,
          List.of("guard-band", "judged", "Amp-hours", "USB-C"),
          StageName.LINE_UP,
          List.of(
              "line-up-unit-1",
              "line-up-load",
              "picture-SEAM",
              "gives-unit-1",
              "costs-unit-1",
              "life-left",
              "wish-0-1",
              "must-haves",
              "keep-must-haves",
              "weight-delivered",
              "place-0",
              "bill-months",
              "bill-keep",
              "line-up-file",
              "save-line-up-pdf"),
          StageName.RUN_TIME,
          List.of(
              "run-time-DAY",
              "add-day",
              "day-title",
              "day-start",
              "day-always-on",
              "beside-",
              "appliance-0",
              "bar-0-0",
              "appliance-3",
              "add-appliance",
              "answer-0",
              "day-file",
              "save-day-pdf",
              "save-day-json"),
          StageName.REPORT,
          List.of(
              "page-file",
              "save-pdf",
              "save-html",
              "sheet-verdict",
              "sheet-heat",
              "sheet-cautions",
              "report-full-",
              "package-key",
              "save-package",
              "save-maker",
              "film-start",
              "save-film"));

  @DataProvider
  public Object[][] stages() {
    Object[][] all = new Object[StageName.values().length][];
    for (StageName stage : StageName.values()) {
      all[stage.ordinal()] = new Object[] {stage};
    }
    return all;
  }

  @Test(dataProvider = "stages")
  public void tabFollowsTheWork(StageName stage) {
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(stage);
          return null;
        });
    window.idle();
    window.until(
        () -> stage != StageName.PLAN || window.session().planWork().schedule().get() != null);
    window.settle();
    OpenWindow.onFx(
        () -> {
          window.scene().lookup("#add-unit").requestFocus();
          return null;
        });
    List<String> way = new ArrayList<>(List.of("add-unit"));
    for (int i = 0; i < MOST_STOPS; i++) {
      robot.push(KeyCode.TAB);
      String stop = name(window.focused());
      if (stop.equals("add-unit")) {
        break;
      }
      way.add(stop);
    }
    assertTrue(way.size() < MOST_STOPS, "it goes round: " + way);
    List<String> round = new ArrayList<>(List.of("add-unit", "stage-Label", "stage-Report"));
    round.addAll(WORK.get(stage));
    round.addAll(List.of("text-size", "look", "Quernfold Q1100", "Tamsel T1"));
    int at = 0;
    for (String wanted : round) {
      int found = next(way, at, wanted);
      assertTrue(found >= 0, wanted + " comes after " + way.subList(0, at) + " in " + way);
      at = found + 1;
    }
    // Whatever has an id and is not made of many is passed once.
    for (String stop : WORK.get(stage)) {
      if (!stop.equals("judged") && way.contains(stop)) {
        assertEquals(way.stream().filter(stop::equals).count(), 1, stop);
      }
    }
  }

  private static int next(List<String> way, int from, String wanted) {
    for (int i = from; i < way.size(); i++) {
      if (way.get(i).startsWith(wanted)) {
        return i;
      }
    }
    return -1;
  }

  private static String name(Node node) {
    if (node == null) {
      return "nothing";
    }
    if (node.getId() != null) {
      return node.getId();
    }
    return node.getAccessibleText() != null
        ? node.getAccessibleText()
        : node.getClass().getSimpleName();
  }
}
