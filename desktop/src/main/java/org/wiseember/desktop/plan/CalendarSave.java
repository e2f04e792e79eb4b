package org.wiseember.desktop.plan;

import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.OpenWorkbook;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.plan.CalendarFile;
import org.wiseember.trial.plan.Schedule;

/** Saves what somebody has to be there for as a calendar a phone reads. */
final class CalendarSave extends VBox {
  private final Session session;
  private final TextField place = new TextField();
  private final Label state = Words.of("quiet", "");
  private Schedule schedule;

  CalendarSave(Session session) {
    this.session = session;
    setSpacing(6);
    place.setId("calendar-file");
    place.setAccessibleText("Where the calendar is saved");
    HBox.setHgrow(place, Priority.ALWAYS);
    var save = Words.button("action", "Save the calendar", this::save);
    save.setId("save-calendar");
    getChildren()
        .addAll(Words.of("heading", "A calendar for the phone"), place, new HBox(save), state);
  }

  void show(Schedule next) {
    schedule = next;
    if (place.getText().isBlank()) {
      Path folder =
          session
              .open()
              .workbook()
              .map(w -> w.file().toAbsolutePath().getParent())
              .orElse(Path.of(System.getProperty("user.home")));
      place.setText(folder.resolve("Plan.ics").toString());
    }
  }

  private void save() {
    try {
      Path file = Path.of(place.getText().strip());
      byte[] content =
          CalendarFile.write(schedule, session.planWork().times().now())
              .getBytes(StandardCharsets.UTF_8);
      session
          .open()
          .background(
              () -> OpenWorkbook.written(file, content),
              words -> {
                state.setText(words);
                session.open().say(words);
              });
    } catch (InvalidPathException e) {
      session.open().say("Type where the calendar should go first.");
    }
  }
}
