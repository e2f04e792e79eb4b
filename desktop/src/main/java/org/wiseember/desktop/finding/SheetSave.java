package org.wiseember.desktop.finding;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.OpenWorkbook;
import org.wiseember.desktop.model.Session;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.page.TrialPage;

/** Saves what is on show: as a sheet that prints, or as a file another workbook reads. */
public final class SheetSave extends VBox {
  private final Session session;
  private final String thing;
  private final TextField place = new TextField();
  private final Label state = Words.of("quiet", "");
  private final Node json;
  private Supplier<Sheet> sheet;
  private Supplier<String> text;
  private String proposed = "";

  /**
   * Makes one with nothing to save.
   *
   * @param thing what is saved, {@code day}; its fields are named after it
   * @param heading above them
   */
  public SheetSave(Session session, String thing, String heading) {
    this.session = session;
    this.thing = thing;
    setSpacing(6);
    place.setId(thing + "-file");
    place.setAccessibleText("Where the " + thing + " is saved");
    place.setPrefColumnCount(26);
    HBox.setHgrow(place, Priority.ALWAYS);
    json = button("save-" + thing + "-json", capital(thing) + " as JSON", this::json);
    FlowPane buttons =
        new FlowPane(
            8,
            6,
            button("save-" + thing + "-pdf", "Print the sheet as PDF", () -> sheet(true)),
            button("save-" + thing + "-html", "Sheet as HTML", () -> sheet(false)),
            json);
    getChildren().addAll(Words.of("heading", heading), place, buttons, state);
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static Node button(String id, String words, Runnable action) {
    var button = Words.button(id.endsWith("pdf") ? "action-main" : "action", words, action);
    button.setId(id);
    return button;
  }

  /**
   * Takes what is on show now.
   *
   * @param name a file may have
   * @param printed what prints
   * @param written what another workbook reads; null for nothing
   */
  public void show(String name, Supplier<Sheet> printed, Supplier<String> written) {
    sheet = printed;
    text = written;
    Words.shown(json, written != null);
    String next = proposed(name);
    // What somebody typed stays.
    if (place.getText().isBlank() || place.getText().equals(proposed)) {
      place.setText(next);
    }
    proposed = next;
  }

  private String proposed(String title) {
    String name = title.replaceAll("[^\\p{L}\\p{N} ._-]", "").strip();
    Path folder =
        session
            .open()
            .workbook()
            .map(w -> w.file().toAbsolutePath().getParent())
            .orElse(Path.of(System.getProperty("user.home")));
    return folder.resolve((name.isEmpty() ? thing : name) + ".pdf").toString();
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
    session.open().say(words);
  }

  private void sheet(boolean pdf) {
    if (sheet == null) {
      said("It is still being worked out. Try again in a moment.");
      return;
    }
    Path file;
    try {
      file = file(pdf ? ".pdf" : ".html");
    } catch (InvalidPathException e) {
      said("Type where the sheet should go first.");
      return;
    }
    ReaderUnits units = session.look().units().get();
    Sheet now = sheet.get();
    String title = session.title().get();
    String made = TrialPage.date(LocalDate.now(ZoneId.systemDefault()));
    session
        .open()
        .background(
            () -> {
              String html = new PageHtml(units).write(now, title, made);
              if (!pdf) {
                return OpenWorkbook.written(file, html.getBytes(StandardCharsets.UTF_8));
              }
              ByteArrayOutputStream out = new ByteArrayOutputStream();
              PagePdf.write(html, out);
              return OpenWorkbook.written(file, out.toByteArray());
            },
            this::said);
  }

  private void json() {
    try {
      Path file = file(".json");
      byte[] content = text.get().getBytes(StandardCharsets.UTF_8);
      session.open().background(() -> OpenWorkbook.written(file, content), this::said);
    } catch (InvalidPathException e) {
      said("Type where the " + thing + " should go first.");
    }
  }
}
