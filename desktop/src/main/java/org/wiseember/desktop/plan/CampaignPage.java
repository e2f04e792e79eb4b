package org.wiseember.desktop.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.finding.SheetSave;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.MarkNode;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.PlanWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.look.UnitMark;
import org.wiseember.trial.plan.PackState;
import org.wiseember.trial.plan.Proposal;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.SchedulePage;
import org.wiseember.trial.plan.ScheduleStep;
import org.wiseember.trial.plan.ScheduleTimes;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.workbook.plan.CampaignNotes;

/** What comes when: the tide, its steps in a row, and what was left out. */
final class CampaignPage extends StackPane {
  private final Session session;
  private final PlanWork work;
  private final VBox whole = new VBox(10);
  private final Label summary = Words.of("quiet", "");
  private final Label next = Words.of("strong", "");
  private final VBox said = new VBox(3);
  private final FlowPane units = new FlowPane(6, 6);
  private final Label byItself = Words.of("quiet", "");
  private final PlanFields fields;
  private final SchedulePane schedule;
  private final VBox steps = new VBox(4);
  private final VBox left = new VBox(4);
  private final StepPanel side;
  private final SheetSave print;
  private final CalendarSave calendar;
  private Optional<ScheduleStep> chosen = Optional.empty();

  CampaignPage(Session session) {
    this.session = session;
    this.work = session.planWork();
    side = new StepPanel(session);
    fields = new PlanFields(session);
    schedule =
        new SchedulePane(session, this::choose, (step, at) -> work.pin(step, Optional.of(at)));
    print = new SheetSave(session, "plan", "The plan, and every rig card");
    calendar = new CalendarSave(session);
    whole
        .getChildren()
        .setAll(
            new VBox(2, Words.of("title", "Plan"), summary, next, said),
            units,
            byItself,
            schedule,
            fields,
            Words.of("heading", "Steps"),
            steps,
            left,
            print,
            calendar);
    work.schedule().addListener((o, was, is) -> show());
    session.shelf().chosen().addListener((o, was, is) -> show());
    session.look().whenLookChanges(this::show);
    session
        .shelf()
        .places()
        .addListener((javafx.collections.ListChangeListener<Shelf.Place>) change -> chooseUnits());
    show();
  }

  /** What is told beside it. */
  Node side() {
    return side;
  }

  private void show() {
    Schedule now = work.schedule().get();
    if (session.shelf().chosen().get() != null
        && session.shelf().chosen().get().unit().origin().isPresent()) {
      getChildren()
          .setAll(
              new EmptyStage(
                  session.shelf().chosen().get().unit().name(),
                  "Somebody else tested this unit. Its claims and figures are on Verdict and Evidence;"
                      + " there is nothing for you to plan.",
                  "To the verdict",
                  () -> session.at().stage().set(StageName.VERDICT)));
      return;
    }
    if (now == null) {
      getChildren()
          .setAll(
              session.shelf().places().isEmpty()
                  ? new EmptyStage(
                      "Plan",
                      "Once a label is typed, its claims say which tests they want. Here they are"
                          + " laid out so that no charge is wasted and nobody waits in vain.",
                      "To the label",
                      () -> session.at().stage().set(StageName.LABEL))
                  : Words.of("quiet", "The plan is being laid out."));
      return;
    }
    Node focused = getScene() == null ? null : getScene().getFocusOwner();
    String had = focused == null ? null : focused.getId();
    if (!getChildren().equals(List.of(whole))) {
      // Put in again it would jump to its top.
      getChildren().setAll(whole);
    }
    ScheduleTimes times = work.times();
    summary.setText(SchedulePage.summary(now, times));
    next.setText(SchedulePage.next(now, times));
    Words.shown(next, !next.getText().isEmpty());
    List<Node> words = new ArrayList<>();
    work.changed().get().forEach(w -> words.add(Words.of("notice-text", "Changed: " + w)));
    now.said().forEach(w -> words.add(Words.of("care", w)));
    said.getChildren().setAll(words);
    chooseUnits();
    fields.show(now);
    chosen =
        chosen
            .flatMap(c -> again(now, c))
            .or(() -> now.next())
            .or(() -> now.steps().stream().findFirst());
    schedule.show(now, chosen);
    Words.shown(schedule, !now.steps().isEmpty());
    rows(now, times);
    leftOut(now);
    side.show(chosen, now);
    print.show("Plan", () -> work.printed(), null);
    calendar.show(now);
    Node again = had == null ? null : lookup("#" + had);
    if (again != null && again != getScene().getFocusOwner()) {
      Focus.keep(again);
    }
  }

  /** The same step of a plan laid out anew. */
  private static Optional<ScheduleStep> again(Schedule now, ScheduleStep was) {
    return now.steps().stream().filter(was::same).findFirst();
  }

  private void choose(ScheduleStep step) {
    chosen = Optional.of(step);
    Schedule now = work.schedule().get();
    schedule.show(now, chosen);
    markChosen();
    leftOut(now);
    side.show(chosen, now);
  }

  /** The chosen row is the one Tab leads to; up and down lead to the others. */
  private void markChosen() {
    boolean any = false;
    for (Node row : steps.getChildren()) {
      boolean it = chosen.filter(c -> row.getUserData() == c).isPresent();
      Row.chosen(row, it);
      row.setFocusTraversable(it);
      any |= it;
    }
    if (!any && !steps.getChildren().isEmpty()) {
      steps.getChildren().get(0).setFocusTraversable(true);
    }
  }

  private void chooseUnits() {
    List<Node> all = new ArrayList<>(List.of(Words.line("strong", "Planned together")));
    Schedule now = work.schedule().get();
    List<Long> order = now == null ? List.of() : List.copyOf(now.packs().keySet());
    for (Shelf.Place place : session.shelf().places()) {
      if (place.unit().origin().isPresent()) {
        continue;
      }
      long id = place.unit().id();
      ToggleButton toggle = new ToggleButton(place.unit().name());
      toggle.getStyleClass().setAll("toggle-button", "choice");
      toggle.setId("plan-unit-" + id);
      toggle.setMinWidth(USE_PREF_SIZE);
      toggle.setSelected(row().contains(id));
      if (order.contains(id)) {
        toggle.setGraphic(new MarkNode(new UnitMark(order.indexOf(id))));
      }
      toggle.setOnAction(e -> inPlan(id, toggle.isSelected()));
      Words.enterPresses(toggle);
      all.add(toggle);
    }
    units.getChildren().setAll(all);
    boolean alone = !work.notes().units().isEmpty() && !work.together();
    Words.shown(byItself, alone);
    if (alone && session.shelf().chosen().get() != null) {
      byItself.setText(
          session.shelf().chosen().get().unit().name()
              + " is planned by itself, as if the others took nothing meanwhile. Choose one of those"
              + " planned together to see their plan.");
    }
  }

  /** Those planned together; before anybody said so, the one that is looked at. */
  private List<Long> row() {
    List<Long> row = work.notes().units();
    return row.isEmpty() && session.shelf().chosen().get() != null
        ? List.of(session.shelf().chosen().get().unit().id())
        : row;
  }

  private void inPlan(long unit, boolean in) {
    List<Long> next = new ArrayList<>(row());
    next.remove(unit);
    if (in) {
      next.add(unit);
    }
    List<Long> sorted =
        session.shelf().places().stream().map(p -> p.unit().id()).filter(next::contains).toList();
    work.note(work.notes().of(sorted), "Units of the plan changed");
    chooseUnits();
  }

  private void rows(Schedule now, ScheduleTimes times) {
    List<Node> all = new ArrayList<>();
    List<Long> order = List.copyOf(now.packs().keySet());
    for (int i = 0; i < now.steps().size(); i++) {
      ScheduleStep step = now.steps().get(i);
      Label what =
          Words.of("strong", step.words() + (order.size() > 1 ? ", " + step.unitName() : ""));
      Label needs = Words.of("quiet", SchedulePage.needs(step, now.packs().get(step.unit())));
      VBox words = new VBox(what, needs);
      words.setMinWidth(0);
      HBox.setHgrow(words, Priority.ALWAYS);
      VBox when =
          new VBox(
              Words.line("figure", SchedulePage.state(now, step, times)),
              Words.line("quiet", ScheduleTimes.words(step.lasts())));
      when.setStyle("-fx-alignment: center-right;");
      HBox row = new HBox(10, new MarkNode(new UnitMark(order.indexOf(step.unit()))), words, when);
      row.setStyle("-fx-alignment: center-left;");
      row.getStyleClass().add("row");
      row.setId("step-" + i);
      row.setUserData(step);
      Row.make(
          row,
          step.words() + ", " + step.unitName() + ", " + SchedulePage.state(now, step, times),
          () -> choose(step));
      int place = i;
      row.addEventHandler(KeyEvent.KEY_PRESSED, e -> moved(e, step, place));
      all.add(row);
    }
    steps.getChildren().setAll(all);
    chosen = chosen.flatMap(c -> now.steps().stream().filter(c::equals).findFirst());
    markChosen();
  }

  /** Up and down go on; left and right pin a test a quarter of an hour earlier or later. */
  private void moved(KeyEvent e, ScheduleStep step, int place) {
    int next = e.getCode() == KeyCode.DOWN ? place + 1 : e.getCode() == KeyCode.UP ? place - 1 : -1;
    if (next >= 0 && next < steps.getChildren().size()) {
      Node row = steps.getChildren().get(next);
      choose((ScheduleStep) row.getUserData());
      row.requestFocus();
      e.consume();
      return;
    }
    boolean later = e.getCode() == KeyCode.RIGHT;
    if (step.kind() == ScheduleStep.Kind.TEST && (later || e.getCode() == KeyCode.LEFT)) {
      choose(step);
      work.pin(step, Optional.of(step.from().plusSeconds(later ? 900 : -900)));
      e.consume();
    }
  }

  private void leftOut(Schedule now) {
    List<Node> all = new ArrayList<>();
    long one =
        chosen.map(ScheduleStep::unit).orElseGet(() -> now.proposals().keySet().iterator().next());
    for (Map.Entry<Long, Proposal> unit : now.proposals().entrySet()) {
      if (unit.getKey() != one) {
        continue;
      }
      List<Proposal.Left> can =
          unit.getValue().left().stream().filter(Proposal.Left::possible).toList();
      if (can.isEmpty()) {
        continue;
      }
      all.add(Words.of("heading", "Not in it, " + now.names().get(unit.getKey())));
      for (Proposal.Left test : can) {
        var add =
            Words.button(
                "action",
                "Add",
                () ->
                    work.choose(
                        unit.getKey(),
                        test.type().key(),
                        work.notes().choice(unit.getKey(), test.type().key()).isPresent()
                            ? Optional.empty()
                            : Optional.of(CampaignNotes.Choice.ADDED)));
        add.setId("add-" + unit.getKey() + "-" + test.type().key());
        add.setAccessibleText("Add " + test.type().words());
        Label why = Words.of("quiet", test.why());
        why.setMinWidth(0);
        HBox.setHgrow(why, Priority.ALWAYS);
        why.setMaxWidth(Double.MAX_VALUE);
        HBox row = new HBox(10, Words.line("figure", test.type().words()), why, add);
        row.setStyle("-fx-alignment: center-left;");
        all.add(row);
      }
    }
    for (Map.Entry<Long, PackState> pack : now.packs().entrySet()) {
      String words = now.names().get(pack.getKey()) + ": " + pack.getValue().words();
      all.add(0, Words.of(pack.getValue().known() ? "quiet" : "notice-text", words));
    }
    left.getChildren().setAll(all);
  }
}
