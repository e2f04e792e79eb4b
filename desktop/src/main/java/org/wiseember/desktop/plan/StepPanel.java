package org.wiseember.desktop.plan;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.finding.SheetSave;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.PlanWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.plan.RigCard;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.trial.plan.SchedulePage;
import org.wiseember.trial.plan.ScheduleStep;
import org.wiseember.trial.plan.ScheduleTimes;
import org.wiseember.trial.plan.Wanted;
import org.wiseember.workbook.plan.CampaignNotes;

/** What is known of one step: when and why, its rig card, and what may be done with it. */
final class StepPanel extends VBox {
  private static final Pattern TIME =
      Pattern.compile("(?<later>\\+(?<days>\\d{1,2})\\s+)?(?<hour>\\d{1,2})[:.](?<minute>\\d{2})");

  private final Session session;
  private final PlanWork work;
  private final TextField begins = Field.of("pin-time", "begins at", "", 8);
  private final ChartPane rig = new ChartPane("How the test is wired");
  private final SheetSave print;
  private ScheduleStep step;

  StepPanel(Session session) {
    this.session = session;
    this.work = session.planWork();
    getStyleClass().add("side");
    setSpacing(8);
    begins.setOnAction(e -> pinTyped());
    print = new SheetSave(session, "rig-card", "Its rig card");
    session.look().whenLookChanges(this::drawRig);
  }

  /** Tells of one; of none what this place is for. */
  void show(Optional<ScheduleStep> chosen, Schedule schedule) {
    step = chosen.orElse(null);
    if (step == null) {
      getChildren()
          .setAll(
              Words.of("quiet", "Step"),
              Words.of("heading", "Choose a step"),
              Words.of(
                  "because-text",
                  "Each tells here when and why, how it is wired, and what can be done with it:"
                      + " pinned to a time, left out, done elsewhere."));
      return;
    }
    ScheduleTimes times = work.times();
    List<Node> all = new ArrayList<>();
    all.add(Words.of("quiet", step.unitName()));
    all.add(Words.of("heading", step.words()));
    all.add(Words.of("heading", times.words(step)));
    all.add(
        Words.of(
            "because-text",
            "Lasts "
                + ScheduleTimes.words(step.lasts())
                + "; "
                + SchedulePage.needs(step, schedule.packs().get(step.unit()))
                + "; takes "
                + SchedulePage.uses(step)
                + "."));
    if (step.wanted().isPresent()) {
      of(step.wanted().get(), all);
    } else {
      between(schedule, all);
    }
    getChildren().setAll(all);
  }

  private void between(Schedule schedule, List<Node> all) {
    all.add(
        Words.of(
            "because-text",
            step.charges()
                ? "Put in because what comes after needs it. Any outlet does; nothing is timed."
                : "Put in because what comes after begins lower. Any load does; watch its"
                    + " display."));
    if (step.kind() == ScheduleStep.Kind.RUNNING) {
      all.add(
          new FlowPane(
              6,
              6,
              button(
                  "over-step",
                  step.charges() ? "It is charged" : "It is down",
                  () -> work.end(step, false)),
              button("break-step", "Broken off", () -> work.end(step, true))));
    } else if (schedule.next(step.unit()).filter(step::equals).isPresent()
        && schedule.steps().stream()
            .noneMatch(s -> s.unit() == step.unit() && s.kind() == ScheduleStep.Kind.RUNNING)) {
      all.add(
          Words.of(
              "because-text",
              "Nothing here can see that it was begun. Say so, and the plan waits for its end."));
      all.add(new FlowPane(button("begin-step", "I began it", () -> work.begin(step))));
    }
  }

  private void of(Wanted wanted, List<Node> all) {
    all.add(Words.of("because-text", wanted.because()));
    if (step.kind() == ScheduleStep.Kind.TEST) {
      begins.setText(time(step.from()));
      begins.setAccessibleHelp("A time as 14:20, or +1 9:00 for tomorrow.");
      all.add(new HBox(Field.named(begins)));
      FlowPane pins =
          new FlowPane(
              6,
              6,
              button("pin-step", "Pin it there", this::pinTyped),
              button("pin-earlier", "15 min earlier", () -> pin(step.from().minusSeconds(900))),
              button("pin-later", "15 min later", () -> pin(step.from().plusSeconds(900))));
      if (step.pinned()) {
        pins.getChildren().add(button("unpin-step", "Unpin", () -> pin(null)));
      }
      all.add(pins);
      all.add(
          new FlowPane(
              6,
              6,
              button("to-bench", "To the bench", () -> toBench(wanted)),
              button("drop-step", "Exclude", () -> choose(CampaignNotes.Choice.DROPPED)),
              button(
                  "elsewhere-step",
                  "Done elsewhere",
                  () -> choose(CampaignNotes.Choice.ELSEWHERE))));
    }
    Optional<RigCard> card = card();
    card.ifPresent(
        c -> {
          all.add(Words.of("heading", "Rig"));
          drawRig();
          all.add(rig);
          all.add(Words.of("strong", "Before you start"));
          c.checks().forEach(t -> all.add(Words.of("because-text", "\u25a1 " + t)));
          c.leads().forEach(t -> all.add(Words.of("quiet", t)));
          c.cautions().forEach(t -> all.add(Words.of("care", "Take care. " + t)));
          print.show(c.title(), () -> RigCard.sheet(List.of(c)), null);
          all.add(print);
        });
  }

  private static Node button(String id, String words, Runnable action) {
    var button = Words.button("action", words, action);
    button.setId(id);
    return button;
  }

  private Optional<RigCard> card() {
    return step == null ? Optional.empty() : work.card(step);
  }

  private void drawRig() {
    card()
        .ifPresent(
            c -> {
              double scale = session.look().textScale().get();
              double high = (c.drawing().probes().isEmpty() ? 110 : 150) * scale;
              rig.setMinHeight(high);
              rig.setPrefHeight(high);
              rig.show(() -> session.look().drawn(c.drawing()));
            });
  }

  private String time(Instant at) {
    ZoneId zone = work.times().zone();
    long days =
        LocalDate.ofInstant(at, zone).toEpochDay()
            - LocalDate.ofInstant(work.times().now(), zone).toEpochDay();
    var time = at.atZone(zone).toLocalTime();
    return (days > 0 ? "+" + days + " " : "")
        + time.getHour()
        + String.format(java.util.Locale.ROOT, ":%02d", time.getMinute());
  }

  private void pinTyped() {
    Matcher typed = TIME.matcher(begins.getText().strip());
    if (!typed.matches()
        || Integer.parseInt(typed.group("hour")) > 23
        || Integer.parseInt(typed.group("minute")) > 59) {
      session
          .open()
          .say("“" + begins.getText() + "” is no time; type 14:20, or +1 9:00 for tomorrow.");
      return;
    }
    ZoneId zone = work.times().zone();
    int days = typed.group("days") == null ? 0 : Integer.parseInt(typed.group("days"));
    pin(
        LocalDate.ofInstant(work.times().now(), zone)
            .plusDays(days)
            .atTime(Integer.parseInt(typed.group("hour")), Integer.parseInt(typed.group("minute")))
            .atZone(zone)
            .toInstant());
  }

  private void pin(Instant at) {
    work.pin(step, Optional.ofNullable(at));
  }

  private void choose(CampaignNotes.Choice choice) {
    work.choose(step.unit(), step.wanted().orElseThrow().key(), Optional.of(choice));
  }

  private void toBench(Wanted wanted) {
    if (step.unit() != session.shelf().chosen().get().unit().id()) {
      session.shelf().choose(step.unit());
    }
    session.bench().prepare(wanted.plan().type());
    session.at().stage().set(StageName.BENCH);
  }
}
