package org.wiseember.desktop.runtime;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.DayWork;
import org.wiseember.desktop.model.Desk;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.runtime.DayOutcome;
import org.wiseember.trial.runtime.DayPage;

/** Saves the day: as a sheet to hang beside the unit, or as a file another workbook reads. */
final class DaySave extends VBox {
  private final Desk desk;
  private final TextField place = new TextField();
  private final Label state = Words.of("quiet", "");
  private DayOutcome shown;
  private String proposed = "";

  DaySave(Desk desk) {
    this.desk = desk;
    setSpacing(6);
    place.setId("day-file");
    place.setAccessibleText("Where the day is saved");
    place.setPrefColumnCount(26);
    HBox.setHgrow(place, Priority.ALWAYS);
    FlowPane buttons =
        new FlowPane(
            8,
            6,
            button("save-day-pdf", "Print the sheet as PDF", () -> sheet(true)),
            button("save-day-html", "Sheet as HTML", () -> sheet(false)),
            button("save-day-json", "Day as JSON", this::json));
    getChildren().addAll(Words.of("heading", "A sheet beside the unit"), place, buttons, state);
  }

  private static Node button(String id, String words, Runnable action) {
    var button = Words.button(id.endsWith("pdf") ? "action-main" : "action", words, action);
    button.setId(id);
    return button;
  }

  void show(DayOutcome outcome) {
    shown = outcome;
    String next = proposed(outcome);
    // What somebody typed stays.
    if (place.getText().isBlank() || place.getText().equals(proposed)) {
      place.setText(next);
    }
    proposed = next;
  }

  private String proposed(DayOutcome outcome) {
    String name = outcome.day().title().replaceAll("[^\\p{L}\\p{N} ._-]", "").strip();
    Path folder =
        desk.workbook()
            .map(w -> w.file().toAbsolutePath().getParent())
            .orElse(Path.of(System.getProperty("user.home")));
    return folder.resolve((name.isEmpty() ? "day" : name) + ".pdf").toString();
  }

  private Path file(String ending) {
    String typed = place.getText().strip();
    String stem =
        typed.toLowerCase(Locale.ROOT).matches(".*\\.(pdf|html|json)")
            ? typed.substring(0, typed.lastIndexOf('.'))
            : typed;
    if (stem.isEmpty()) {
      throw new InvalidPathException(typed, "empty");
    }
    return Path.of(stem + ending);
  }

  private void said(String words) {
    state.setText(words);
    desk.say(words);
  }

  private void sheet(boolean pdf) {
    if (shown == null) {
      said("The day is still being worked out. Try again in a moment.");
      return;
    }
    Path file;
    try {
      file = file(pdf ? ".pdf" : ".html");
    } catch (InvalidPathException e) {
      said("Type where the sheet should go first.");
      return;
    }
    ReaderUnits units = desk.units().get();
    Sheet sheet = DayPage.sheet(shown, units);
    String title = desk.title().get();
    String made = TrialPage.date(LocalDate.now(ZoneId.systemDefault()));
    desk.background(
        () -> {
          String html = new PageHtml(units).write(sheet, title, made);
          if (!pdf) {
            return DayWork.written(file, html.getBytes(StandardCharsets.UTF_8));
          }
          ByteArrayOutputStream out = new ByteArrayOutputStream();
          PagePdf.write(html, out);
          return DayWork.written(file, out.toByteArray());
        },
        this::said);
  }

  private void json() {
    try {
      desk.dayWork().save(file(".json"), this::said);
    } catch (InvalidPathException e) {
      said("Type where the day should go first.");
    }
  }
}
