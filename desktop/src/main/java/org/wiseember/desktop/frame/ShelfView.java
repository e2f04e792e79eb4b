package org.wiseember.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import javafx.collections.ListChangeListener;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Desk;
import org.wiseember.trial.verdict.Judgement;

/** The shelf: every unit of the workbook with its small seam. */
public final class ShelfView extends VBox {
  private final Desk desk;
  private final VBox units = new VBox();

  public ShelfView(Desk desk) {
    this.desk = desk;
    getStyleClass().add("shelf");
    Label wise = Words.line("brand", "Wise ");
    Label ember = Words.line("brand", "Ember");
    ember.getStyleClass().add("brand-ember");
    Label title = Words.of("shelf-quiet", "");
    title.textProperty().bind(desk.title());
    VBox head = new VBox(new HBox(wise, ember), title);
    head.getStyleClass().add("shelf-head");
    Label caption = Words.line("shelf-quiet", "Units on the shelf");
    HBox captionRow = new HBox(caption);
    captionRow.setStyle("-fx-padding: 0 1.2em 0.5em 1.2em;");
    ScrollPane scroll = Adaptive.scroll(units);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    var add = Words.button("shelf-button", "Add a unit   Ctrl N", desk::addUnit);
    add.setId("add-unit");
    getChildren().addAll(head, captionRow, scroll, add);
    desk.shelf().addListener((ListChangeListener<Judgement>) c -> rebuild());
    desk.chosen().addListener((o, was, is) -> markChosen());
    rebuild();
  }

  private void rebuild() {
    units.getChildren().clear();
    for (Judgement judgement : desk.shelf()) {
      units.getChildren().add(entry(judgement));
    }
    markChosen();
  }

  private VBox entry(Judgement judgement) {
    String name = judgement.unit().name();
    Label nameLabel = Words.of("shelf-name", name);
    VBox entry =
        new VBox(nameLabel, Words.of("shelf-quiet", facts(judgement)), new ShelfSeam(judgement));
    entry.getStyleClass().add("shelf-unit");
    entry.setUserData(judgement.unit().id());
    Row.make(entry, name, () -> choose(judgement.unit().id()));
    return entry;
  }

  private void choose(long unitId) {
    desk.shelf().stream()
        .filter(j -> j.unit().id() == unitId)
        .findFirst()
        .ifPresent(
            j -> {
              desk.shownRun().set(null);
              desk.chosen().set(j);
            });
  }

  private void markChosen() {
    Long chosen = desk.chosen().get() == null ? null : desk.chosen().get().unit().id();
    units.getChildren().forEach(node -> Row.chosen(node, node.getUserData().equals(chosen)));
  }

  /** {@code LFP · 1 075 Wh · 1 200 W · 230 V}. */
  static String facts(Judgement judgement) {
    var label = judgement.unit().label();
    List<String> facts = new ArrayList<>();
    label.claim(Subject.CHEMISTRY).map(Claim::word).ifPresent(facts::add);
    label.ratedWattHours().ifPresent(wh -> facts.add(Figures.plain(Math.rint(wh)) + " Wh"));
    label.ratedWatts().ifPresent(w -> facts.add(Figures.plain(w) + " W"));
    label
        .claim(Subject.OUTPUT_VOLTAGE)
        .ifPresent(c -> facts.add(Figures.plain(Math.rint(c.figure())) + " V"));
    return facts.isEmpty()
        ? "no label yet"
        : String.join(" · ", facts.stream().map(ShelfView::kept).toList());
  }

  /** A fact stays on one line: its figure and its unit are not parted. */
  private static String kept(String fact) {
    return fact.replace(' ', '\u00a0').replace(Figures.THIN_SPACE, '\u00a0');
  }
}
