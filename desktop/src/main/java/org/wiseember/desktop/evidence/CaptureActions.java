package org.wiseember.desktop.evidence;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.Button;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.wave.CapturedWaves;
import org.wiseember.trial.wave.Wave;
import org.wiseember.workbook.comtrade.DataFormat;

/** How captures come into a run and go out of it. */
final class CaptureActions extends VBox {
  private final ObjectProperty<DataFormat> format = new SimpleObjectProperty<>(DataFormat.ASCII);
  private final Button save;
  private CapturedWaves run;
  private Wave wave;

  CaptureActions(Session session) {
    setSpacing(6);
    getStyleClass().add("sheet");
    save =
        Words.button(
            "action",
            "Save this capture",
            () -> session.captures().save(run.run(), wave, format.get()));
    save.setId("save-capture");
    Map<DataFormat, String> words = new LinkedHashMap<>();
    for (DataFormat f : DataFormat.values()) {
      words.put(f, f.name());
    }
    FlowPane row = Choices.row("COMTRADE", "comtrade-", words, format);
    row.getChildren().add(save);
    getChildren()
        .addAll(
            Words.of(
                "quiet",
                "Drop a capture on the window to add it: CSV of any scope, or COMTRADE (.cfg with"
                    + " .dat, .cff)."),
            row);
  }

  void of(CapturedWaves shown, Wave chosen) {
    run = shown;
    wave = chosen;
    save.setDisable(chosen == null);
  }
}
