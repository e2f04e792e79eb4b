package org.wiseember.desktop.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.collections.ListChangeListener;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.trial.verdict.Summary;

/** The shelf: every unit of the workbook with its small seam. */
public final class ShelfView extends VBox {
  private final Session session;
  private final VBox units = new VBox();

  /**
   * The shelf of a desk.
   *
   * @param openDrawer shows what was taken off it
   */
  public ShelfView(Session session, Runnable openDrawer) {
    this.session = session;
    getStyleClass().add("shelf");
    Label wise = Words.line("brand", "Wise ");
    Label ember = Words.line("brand", "Ember");
    ember.getStyleClass().add("brand-ember");
    Label title = Words.of("shelf-quiet", "");
    title.textProperty().bind(session.title());
    VBox head = new VBox(new HBox(wise, ember), title);
    head.getStyleClass().add("shelf-head");
    Label caption = Words.line("shelf-quiet", "Units on the shelf");
    HBox captionRow = new HBox(caption);
    captionRow.setStyle("-fx-padding: 0 1.2em 0.5em 1.2em;");
    ScrollPane scroll = Adaptive.scroll(units);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    var add = Words.button("shelf-button", "Add a unit   Ctrl N", session.units()::addUnit);
    add.setId("add-unit");
    Button off = Words.button("shelf-button", "", openDrawer);
    off.setId("open-drawer");
    off.textProperty().bind(Bindings.size(session.removedItems().things()).asString("Removed: %d"));
    off.visibleProperty().bind(Bindings.isNotEmpty(session.removedItems().things()));
    off.managedProperty().bind(off.visibleProperty());
    getChildren().addAll(head, captionRow, scroll, off, add);
    session.shelf().places().addListener(this::changed);
    session.shelf().chosenUnit().addListener((o, was, is) -> markChosen());
    session
        .shelf()
        .guardBand()
        .addListener((o, was, is) -> entries().forEach(e -> e.seam.show(is)));
    rebuild();
  }

  private Stream<Entry> entries() {
    return units.getChildren().stream().map(Entry.class::cast);
  }

  /** Units that stand otherwise now take their place; whoever reads further down stays there. */
  private void changed(ListChangeListener.Change<? extends Shelf.Place> change) {
    while (change.next()) {
      if (!change.wasReplaced() || change.getAddedSize() != change.getRemovedSize()) {
        rebuild();
        return;
      }
      for (int i = change.getFrom(); i < change.getTo(); i++) {
        boolean hadFocus = units.getChildren().get(i).isFocused();
        units.getChildren().set(i, new Entry(session.shelf().places().get(i)));
        if (hadFocus) {
          Focus.keep(units.getChildren().get(i));
        }
      }
    }
    markChosen();
  }

  private void rebuild() {
    units.getChildren().setAll(session.shelf().places().stream().map(p -> new Entry(p)).toList());
    markChosen();
  }

  /** One unit. */
  private final class Entry extends VBox {
    private final ShelfClaimScale seam;

    Entry(Shelf.Place place) {
      String name = place.unit().name();
      seam = new ShelfClaimScale(place.summary(), session.shelf().guardBand().get());
      getChildren()
          .addAll(
              Words.of("shelf-name", name), Words.of("shelf-quiet", facts(place.rating())), seam);
      if (place.unit().origin().isPresent()) {
        getChildren().add(1, Words.of("shelf-quiet", "Somebody else's"));
      }
      getStyleClass().add("shelf-unit");
      setUserData(place.unit().id());
      Row.make(
          this,
          name + (place.unit().origin().isPresent() ? ", somebody else's" : ""),
          () -> choose(place.unit().id()));
    }
  }

  private void choose(long unitId) {
    session.at().shownRun().set(null);
    session.shelf().choose(unitId);
  }

  private void markChosen() {
    Long chosen = session.shelf().chosenUnit().get();
    units.getChildren().forEach(node -> Row.chosen(node, node.getUserData().equals(chosen)));
  }

  /** {@code LFP · 1 075 Wh · 1 200 W · 230 V}. */
  static String facts(Summary.Rating label) {
    List<String> facts = new ArrayList<>();
    label.chemistry().ifPresent(facts::add);
    label.wattHours().ifPresent(wh -> facts.add(Figures.plain(Math.rint(wh)) + " Wh"));
    label.watts().ifPresent(w -> facts.add(Figures.plain(w) + " W"));
    label.volts().ifPresent(v -> facts.add(Figures.plain(Math.rint(v)) + " V"));
    return facts.isEmpty()
        ? "no label yet"
        : String.join(" · ", facts.stream().map(ShelfView::kept).toList());
  }

  /** A fact stays on one line: its figure and its unit are not parted. */
  private static String kept(String fact) {
    return fact.replace(' ', '\u00a0').replace(Figures.THIN_SPACE, '\u00a0');
  }
}
