package org.wiseember.desktop.frame;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Look;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;

/** Lies beside the work, below the head of the stage, and stops nothing. */
final class SidePanel extends VBox {
  private static final double WIDE_EM = 27;
  private static final double WIDEST = 560;
  private static final double HEAD_EM = 5.2;

  private final Session session;

  /**
   * Makes one, closed.
   *
   * @param closes what stands on the button that closes it
   */
  SidePanel(Session session, String id, Node page, String closes) {
    this.session = session;
    setId(id);
    getStyleClass().add("find");
    ScrollPane scroll = new ScrollPane(page);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("side-scroll");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    HBox foot = new HBox(Words.spring(), Words.button("action", closes, () -> open(false)));
    getChildren().addAll(scroll, foot);
    session.look().textScale().addListener((o, was, is) -> size());
    size();
    open(false);
  }

  boolean isOpen() {
    return isVisible();
  }

  void open(boolean open) {
    Words.shown(this, open);
  }

  private void size() {
    double width = WIDE_EM * Look.BASE * session.look().textScale().get();
    setMinWidth(Math.min(width, WIDEST));
    setMaxSize(Math.min(width, WIDEST), Region.USE_COMPUTED_SIZE);
    StackPane.setAlignment(this, Pos.TOP_RIGHT);
    // Start and stop stand in the head of a stage and are never covered.
    StackPane.setMargin(
        this, new Insets(HEAD_EM * Look.BASE * session.look().textScale().get(), 0, 0, 0));
  }
}
