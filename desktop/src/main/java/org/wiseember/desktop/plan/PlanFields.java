package org.wiseember.desktop.plan;

import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.MarkNode;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.PlanWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.look.UnitMark;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.plan.PackState;
import org.wiseember.trial.plan.Schedule;
import org.wiseember.workbook.plan.CampaignNotes;

/** When somebody is there, what is not there, and how full each unit is. */
final class PlanFields extends VBox {
  /** What is not here is taken to be back at this time tomorrow, h. */
  private static final long AWAY_HOURS = 24;

  private static final Pattern SPAN =
      Pattern.compile("(\\d{1,2})(?:[:.](\\d{2}))?\\s*(?:-|–|to)\\s*(\\d{1,2})(?:[:.](\\d{2}))?");

  private final Session session;
  private final PlanWork work;
  private final TextField present = Field.of("plan-present", "somebody is there", "", 16);
  private final FlowPane charges = new FlowPane(16, 6);
  private final FlowPane away = new FlowPane(6, 6);
  private final List<TextField> fields = new ArrayList<>();

  PlanFields(Session session) {
    this.session = session;
    this.work = session.planWork();
    setSpacing(8);
    present.setPromptText("8-12, 18-22:30");
    Field.whenTyped(present, this::presentTyped);
    getStyleClass().add("sheet");
    getChildren().addAll(new FlowPane(16, 6, Field.named(present)), charges, away);
  }

  void show(Schedule schedule) {
    if (!present.isFocused()) {
      present.setText(
          work.notes().present().stream()
              .map(p -> words(p.from()) + "-" + words(p.to()))
              .collect(Collectors.joining(", ")));
    }
    if (fields.stream().noneMatch(TextField::isFocused)) {
      fields.clear();
      List<Node> all = new ArrayList<>();
      schedule.packs().entrySet().stream()
          .filter(p -> !p.getValue().none())
          .forEach(p -> all.add(charge(p.getKey(), p.getValue(), schedule)));
      charges.getChildren().setAll(all);
    }
    List<Node> things = new ArrayList<>(List.of(Words.line("strong", "Not here")));
    for (Equipment thing : Equipment.values()) {
      things.add(toggle(thing));
    }
    away.getChildren().setAll(things);
  }

  /** The mark tells whose it is; a screen reader says the name. */
  private Node charge(long unit, PackState pack, Schedule schedule) {
    TextField field =
        Field.of(
            "plan-charge-" + unit,
            "display shows, %",
            pack.read() ? Figures.fixed(pack.percent(), 0) : "",
            6);
    field.setPromptText("not read");
    Field.whenTyped(field, () -> chargeTyped(unit, field, pack));
    fields.add(field);
    HBox pair = Field.named(field);
    field.setAccessibleText(schedule.names().get(unit) + ", its display shows, %");
    List<Long> order = List.copyOf(schedule.packs().keySet());
    pair.getChildren().add(0, new MarkNode(new UnitMark(order.indexOf(unit))));
    return pair;
  }

  private void chargeTyped(long unit, TextField field, PackState pack) {
    try {
      OptionalDouble typed = Field.number(field, 0, 100);
      boolean same =
          pack.read()
              && typed.isPresent()
              && Figures.fixed(typed.getAsDouble(), 0).equals(Figures.fixed(pack.percent(), 0));
      if (typed.isPresent() && !same) {
        work.charged(unit, typed.getAsDouble());
      }
    } catch (IllegalArgumentException e) {
      session.open().say(e.getMessage());
    }
  }

  private Node toggle(Equipment thing) {
    Instant now = work.times().now();
    Optional<CampaignNotes.Away> gone =
        work.notes().away().stream()
            .filter(a -> a.thing().equals(thing.name()) && a.to().isAfter(now))
            .findFirst();
    ToggleButton toggle =
        new ToggleButton(
            thing.words() + gone.map(a -> ", until " + work.times().words(a.to())).orElse(""));
    toggle.getStyleClass().setAll("toggle-button", "choice");
    toggle.setId("away-" + thing.name());
    toggle.setMinWidth(USE_PREF_SIZE);
    toggle.setSelected(gone.isPresent());
    toggle.setOnAction(
        e ->
            work.note(
                gone.isPresent()
                    ? work.notes().back(gone.get())
                    : work.notes()
                        .lacking(
                            new CampaignNotes.Away(
                                thing.name(), now, now.plusSeconds(3600 * AWAY_HOURS))),
                "What is not here changed"));
    Words.enterPresses(toggle);
    return toggle;
  }

  private static String words(LocalTime time) {
    return time.getHour()
        + (time.getMinute() == 0
            ? ""
            : String.format(java.util.Locale.ROOT, ":%02d", time.getMinute()));
  }

  private void presentTyped() {
    List<CampaignNotes.Present> spans = new ArrayList<>();
    for (String part : present.getText().split("[,;]")) {
      Matcher span = SPAN.matcher(part.strip());
      Optional<LocalTime> from =
          span.matches() ? time(span.group(1), span.group(2)) : Optional.empty();
      Optional<LocalTime> to =
          span.matches() ? time(span.group(3), span.group(4)) : Optional.empty();
      if (from.isEmpty() || to.isEmpty()) {
        session
            .open()
            .say(
                "“"
                    + part.strip()
                    + "” is no time somebody is there; type 18-22, or 8:30-12, 18-22:30.");
        return;
      }
      spans.add(new CampaignNotes.Present(from.get(), to.get()));
    }
    work.note(work.notes().present(spans), "When somebody is there changed");
  }

  /** 24 is the midnight that ends the day. */
  private static Optional<LocalTime> time(String hour, String minute) {
    int h = Integer.parseInt(hour);
    int m = minute == null ? 0 : Integer.parseInt(minute);
    return h > 24 || m > 59 || (h == 24 && m > 0)
        ? Optional.empty()
        : Optional.of(LocalTime.of(h % 24, m));
  }
}
