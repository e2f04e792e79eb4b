package org.wiseember.desktop.frame;

import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import org.wiseember.bench.run.RunView;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.LiveRun;
import org.wiseember.desktop.look.Words;

/** The foot: what every meter reads, and how the bench and the workbook are. */
public final class FootBar extends HBox {
  private record Meter(String name, List<Channel> channels, int decimals) {}

  private static final List<Meter> METERS =
      List.of(
          new Meter("AC meter", List.of(Channel.AC_POWER, Channel.AC_VOLTAGE), 1),
          new Meter("Case", List.of(Channel.CASE_TEMPERATURE), 1),
          new Meter("Room", List.of(Channel.ROOM_TEMPERATURE), 1),
          new Meter("Display", List.of(Channel.DISPLAY_CHARGE), 0));

  private final Desk desk;
  private final List<Label> figures =
      METERS.stream().map(m -> Words.line("foot-figure", "–")).toList();
  private final Label state = Words.line("foot-state", "");
  private final ChangeListener<RunView> watch = (o, was, is) -> show(is);

  public FootBar(Desk desk) {
    this.desk = desk;
    getStyleClass().add("foot");
    for (int i = 0; i < METERS.size(); i++) {
      HBox meter = new HBox(Words.line("foot-name", METERS.get(i).name()), figures.get(i));
      meter.setSpacing(6);
      getChildren().add(meter);
    }
    Button text = Words.button("foot-button", "Text 100 %", () -> desk.changeText(step()));
    text.setId("text-size");
    text.textProperty()
        .bind(desk.textScale().map(s -> "Text " + Math.round(s.doubleValue() * 100) + " %"));
    Button look = Words.button("foot-button", "Dark", desk::switchPalette);
    look.setId("look");
    look.textProperty().bind(desk.palette().map(p -> p.dark() ? "Light" : "Dark"));
    getChildren().addAll(Words.spring(), text, look, state);
    desk.live()
        .addListener(
            (o, was, is) -> {
              if (was != null) {
                was.view().removeListener(watch);
              }
              if (is != null) {
                is.view().addListener(watch);
              }
              showState();
            });
    desk.pace().addListener((o, was, is) -> showState());
    desk.shelf().addListener((javafx.beans.Observable o) -> showState());
    showState();
  }

  private int step() {
    return desk.textScale().get() >= 1.49 ? -3 : 1;
  }

  private void show(RunView view) {
    if (view == null || view.latest() == null) {
      return;
    }
    Frame frame = view.latest();
    for (int i = 0; i < METERS.size(); i++) {
      StringBuilder text = new StringBuilder();
      for (Channel channel : METERS.get(i).channels()) {
        text.append(text.isEmpty() ? "" : "  ")
            .append(Figures.fixed(frame.value(channel), METERS.get(i).decimals()))
            .append(' ')
            .append(channel.unit().symbol());
      }
      figures.get(i).setText(text.toString());
    }
    showState();
  }

  private void showState() {
    LiveRun run = desk.live().get();
    String bench = "Simulated bench, " + desk.pace().get().words();
    String saved;
    if (desk.workbook().isEmpty()) {
      saved = "no workbook";
    } else if (desk.readOnly()) {
      saved = "reading only";
    } else if (run != null && run.going()) {
      boolean unsaved = run.view().get() != null && !run.view().get().unsaved().isEmpty();
      saved = unsaved ? "not on disk yet" : "saved under 1 s ago";
    } else {
      saved = "all saved";
    }
    state.setText(bench + ", " + saved);
  }
}
