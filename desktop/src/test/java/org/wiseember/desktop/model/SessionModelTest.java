package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.util.List;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import org.wiseember.core.label.Subject;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.DemoFile;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Workbook;

/** The shelf and the chosen unit, and every edit of them with its undo. */
public class SessionModelTest extends OnSession {
  private List<String> names() {
    return session.shelf().places().stream().map(p -> p.unit().name()).toList();
  }

  private int standing(Standing standing) {
    return (int) session.shelf().chosen().get().count(standing);
  }

  @Test
  public void openingShowsTheShelfAndTheFirstUnit() {
    assertEquals(session.shelf().places().size(), 5);
    assertEquals(session.shelf().chosen().get().unit(), session.shelf().places().get(0).unit());
    assertEquals(session.title().get(), "Lantern Quay lending pool");
    assertFalse(session.open().readOnly());
    assertEquals(
        session.shelf().places().get(0).summary().orElseThrow().runs().size(),
        session.shelf().chosen().get().runs().size());
  }

  /** Every place on the shelf stands as its unit does, once it is worked out. */
  @Test
  public void theShelfKnowsHowEveryUnitStands() {
    until(() -> session.shelf().places().stream().allMatch(p -> p.summary().isPresent()));
    for (int i = 0; i < session.shelf().places().size(); i++) {
      Judgement unit = choose(i);
      for (Standing standing : Standing.values()) {
        assertEquals(
            session.shelf().places().get(i).summary().orElseThrow().count(standing, true),
            unit.count(standing),
            unit.unit().name() + " " + standing);
      }
    }
  }

  /** Of several units chosen in a hurry the last is shown, whichever is read first. */
  @Test
  public void theLastChoiceCounts() {
    for (int i : new int[] {1, 3, 0, 4, 2}) {
      session.shelf().choose(session.shelf().places().get(i).unit().id());
      assertEquals(
          session.shelf().chosenUnit().get().longValue(),
          session.shelf().places().get(i).unit().id());
    }
    settle();
    assertEquals(session.shelf().chosen().get().unit(), session.shelf().places().get(2).unit());
  }

  @Test
  public void theGuardBandIsHeldAgainstWhatIsThere() {
    int close = standing(Standing.TOO_CLOSE);
    assertTrue(close > 0, "the demo has calls that are too close");
    session.shelf().guardBand().set(false);
    assertEquals(standing(Standing.TOO_CLOSE), 0, "by plain comparison nothing is too close");
    session.shelf().guardBand().set(true);
    assertEquals(standing(Standing.TOO_CLOSE), close);
    session.shelf().guardBand().set(false);
    choose(1);
    assertEquals(standing(Standing.TOO_CLOSE), 0, "another unit is held the same way");
  }

  @Test
  public void aUnitIsAddedNamedLabelledAndAllOfItUndone() {
    session.units().addUnit();
    until(() -> session.shelf().places().size() == 6);
    assertEquals(session.at().stage().get(), StageName.LABEL);
    long id = session.shelf().chosen().get().unit().id();
    session.units().rename(id, "  Ferry stall  ");
    until(() -> names().contains("Ferry stall"));
    session.units().saveLabel(id, "300 Wh LFP", List.of());
    until(() -> session.shelf().chosen().get().unit().label().ratedWattHours().isPresent());
    session.units().saveLabel(id, "400 Wh LFP", List.of());
    until(() -> session.shelf().chosen().get().unit().label().ratedWattHours().orElse(0.0) == 400);
    session.open().undo();
    until(() -> session.shelf().chosen().get().unit().label().ratedWattHours().orElse(0.0) == 300);
    session.open().undo();
    until(() -> session.shelf().chosen().get().unit().label().text().isEmpty());
    session.open().undo();
    until(() -> names().contains("New unit"));
    session.open().undo();
    until(() -> session.shelf().places().size() == 5);
    until(
        () ->
            session.shelf().chosen().get() != null
                && session.shelf().chosen().get().unit().id() != id);
    session.open().undo();
    assertEquals(session.open().said().get().isEmpty(), false);
    untilSaid("Nothing to undo.");
  }

  /** Two edits before the first is saved undo to the one between. */
  @Test
  public void quickEditsUndoOneByOne() {
    long id = session.shelf().chosen().get().unit().id();
    String before = session.shelf().chosen().get().unit().label().text();
    session.units().saveLabel(id, before + "\n1 kg", List.of());
    session.units().saveLabel(id, before + "\n2 kg", List.of());
    session.open().undo();
    until(() -> session.shelf().chosen().get().unit().label().text().endsWith("1 kg"));
    session.open().undo();
    until(() -> session.shelf().chosen().get().unit().label().text().equals(before));
  }

  /** A name of blanks, the same name and the same label change nothing and leave no undo. */
  @Test
  public void whatChangesNothingIsNoEdit() {
    long id = session.shelf().chosen().get().unit().id();
    session.units().rename(id, "   ");
    session.units().rename(id, session.shelf().chosen().get().unit().name());
    session.units().saveLabel(id, session.shelf().chosen().get().unit().label().text(), List.of());
    session.open().undo();
    untilSaid("Nothing to undo.");
  }

  /** A claim of the label is judged anew, the others stand as they did. */
  @Test
  public void aLabelEditReachesItsLine() {
    long id = session.shelf().chosen().get().unit().id();
    String text = session.shelf().chosen().get().unit().label().text();
    List<String> others = lines(false);
    List<String> capacity = lines(true);
    session.units().saveLabel(id, text.replaceFirst("1075", "500"), List.of());
    until(() -> !lines(true).equals(capacity));
    assertEquals(lines(false), others);
    assertNotEquals(lines(true), capacity);
    assertEquals(
        session.shelf().places().get(0).summary().orElseThrow().count(Standing.KEPT, true),
        session.shelf().chosen().get().count(Standing.KEPT));
  }

  private List<String> lines(boolean capacity) {
    return session.shelf().chosen().get().lines().stream()
        .filter(l -> (l.claim().subject() == Subject.CAPACITY) == capacity)
        .filter(l -> l.claim().subject() != Subject.CHARGE_TIME)
        .map(l -> l.title() + l.verdict().map(v -> v.standing().words()).orElse(""))
        .toList();
  }

  @Test
  public void aUnitIsTakenOffAndPutBack() {
    String name = session.shelf().chosen().get().unit().name();
    session.units().removeChosen();
    until(() -> session.shelf().places().size() == 4);
    untilSaid("is off the shelf");
    until(() -> !session.shelf().chosen().get().unit().name().equals(name));
    session.open().undo();
    until(() -> names().contains(name));
  }

  @Test
  public void aFileThatIsNoWorkbookLeavesTheOpenOne() throws Exception {
    Path other = Files.writeString(folder.resolve("notes.ember"), "not a workbook");
    session.open(other);
    untilSaid("is not a Wise Ember workbook");
    assertEquals(session.shelf().places().size(), 5);
    assertEquals(session.open().workbook().orElseThrow().file(), file);
    session.units().rename(session.shelf().chosen().get().unit().id(), "Still here");
    until(() -> names().contains("Still here"));
  }

  /** Once it came back for reading only, written by this very program. */
  @Test
  public void theOpenWorkbookIsNotOpenedBesideItself() throws Exception {
    session.open(Files.createSymbolicLink(folder.resolve("link.ember"), file));
    untilSaid("is open already");
    assertFalse(session.open().readOnly());
    session.units().rename(session.shelf().chosen().get().unit().id(), "Still here");
    until(() -> names().contains("Still here"));
  }

  @Test
  public void anEmptyWorkbookBeginsWithALabel() {
    session.open(folder.resolve("fresh.ember"));
    until(() -> session.shelf().places().isEmpty());
    assertEquals(session.at().stage().get(), StageName.LABEL);
    assertEquals(session.shelf().chosen().get(), null);
    session.units().removeChosen();
    assertEquals(session.title().get(), "fresh.ember");
  }

  /** A second window reads, says who writes, and edits nothing. */
  @Test
  public void aSecondDeskOnlyReads() {
    Session second = new Session(Clock.systemUTC(), screen());
    try {
      second.open(file);
      until(() -> second.shelf().chosen().get() != null);
      assertTrue(second.open().readOnly());
      String name = second.shelf().chosen().get().unit().name();
      second.units().rename(second.shelf().chosen().get().unit().id(), "Mine");
      second.units().addUnit();
      second.units().removeChosen();
      until(() -> second.open().said().get().contains("reading only"));
      assertEquals(second.shelf().places().size(), 5);
      assertEquals(second.shelf().chosen().get().unit().name(), name);
      assertTrue(
          second.shelf().chosen().get().lines().stream().anyMatch(l -> l.figure().isPresent()));
    } finally {
      second.close();
    }
  }

  /** Text grows and shrinks by steps and stops at both ends. */
  @Test
  public void textHasSteps() {
    double smallest = session.look().textScale().get();
    session.look().changeText(-1);
    assertEquals(session.look().textScale().get(), smallest);
    List<Double> up =
        IntStream.range(0, 6)
            .mapToObj(
                i -> {
                  session.look().changeText(1);
                  return session.look().textScale().get();
                })
            .toList();
    assertEquals(up.get(5), 1.5);
    assertEquals(up.get(4), 1.5, "it stops at the end");
    assertTrue(up.get(0) > smallest);
  }

  /** A run whose readings are damaged says so in its place; its unit and the rest stand. */
  @Test
  public void aDamagedRunDoesNotTakeItsUnitOrTheShelfWithIt() throws Exception {
    String title = choose(1).run(2).orElseThrow().run().title();
    int others = session.shelf().chosen().get().runs().size() - 1;
    session.close();
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      statement.execute("DROP TRIGGER sample_block_keeps_values");
      statement.execute("UPDATE sample_block SET data = x'00' WHERE run_id = 2");
      statement.execute("DELETE FROM finding");
    }
    session = new Session(Clock.systemUTC(), screen());
    session.open(file);
    until(
        () -> session.shelf().places().stream().filter(p -> p.summary().isPresent()).count() == 5);
    untilSaid(title);
    assertTrue(session.open().said().get().contains("damaged"), session.open().said().get());
    Judgement unit = choose(1);
    assertEquals(unit.runs().size(), others);
    assertEquals(unit.aside().size(), 1);
    assertEquals(unit.aside().get(0).unreadable().orElseThrow(), session.open().said().get());
  }

  /** What is noticed only when everything is looked through takes back what was said before. */
  @Test
  public void damageFoundAfterOpeningTakesTheFindingBack() throws Exception {
    int before = choose(1).runs().size();
    session.close();
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      statement.execute("DROP TRIGGER sample_block_keeps_values");
      statement.execute("UPDATE sample_block SET data = zeroblob(length(data)) WHERE run_id = 2");
    }
    session = new Session(Clock.systemUTC(), screen());
    session.open(file);
    until(() -> session.shelf().chosen().get() != null);
    untilSaid("The run judges nothing");
    assertEquals(choose(1).runs().size(), before - 1);
  }

  /** What cannot be read at the opening leaves the old shelf and the old file where they are. */
  @Test
  public void anOpeningThatFailsHalfwayChangesNothing() throws Exception {
    Path other =
        Files.copy(
            DemoFile.in(Files.createTempDirectory("ember-half")), folder.resolve("half.ember"));
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + other);
        Statement statement = connection.createStatement()) {
      statement.execute("DROP TABLE load_on");
    }
    String name = session.shelf().chosen().get().unit().name();
    session.open(other);
    session.units().rename(session.shelf().chosen().get().unit().id(), "Meant for neither");
    untilSaid("cannot be read or written");
    assertEquals(session.open().workbook().orElseThrow().file(), file);
    assertEquals(session.shelf().chosen().get().unit().name(), name);
    session.units().rename(session.shelf().chosen().get().unit().id(), "Still here");
    until(() -> names().contains("Still here"));
    try (Workbook half = Workbook.open(other, Clock.systemUTC())) {
      assertTrue(half.units().all().stream().noneMatch(u -> u.name().equals("Meant for neither")));
      assertFalse(half.readOnly(), "it was let go of");
    }
  }
}
