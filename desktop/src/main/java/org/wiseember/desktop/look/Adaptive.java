package org.wiseember.desktop.look;

import javafx.beans.value.ObservableDoubleValue;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * A stage's main part with a panel beside it, each scrolling by itself; where the window is too
 * narrow for the size of text, the panel goes below and both scroll together.
 */
public final class Adaptive extends StackPane {
  /** Narrower than this many em, the panel goes below. */
  private static final double BESIDE_EM = 58;

  /** Width of the panel beside, em. */
  private static final double SIDE_EM = 21.5;

  private final Node main;
  private final Node side;
  private final ObservableDoubleValue textScale;
  private Orientation shown;
  private ScrollPane sideScroll;

  public Adaptive(Node main, Node side, ObservableDoubleValue textScale) {
    this.main = main;
    this.side = side;
    this.textScale = textScale;
    getStyleClass().add("adaptive");
    widthProperty().addListener((o, was, is) -> arrange());
    textScale.addListener((o, was, is) -> arrange());
    arrange();
  }

  private void arrange() {
    double em = Look.BASE * textScale.get();
    // Before it has a width it is laid out wide, so that what is in it can take the focus at once.
    boolean wide = getWidth() == 0 || getWidth() >= BESIDE_EM * em;
    Orientation wanted = wide ? Orientation.HORIZONTAL : Orientation.VERTICAL;
    if (wanted != shown) {
      shown = wanted;
      getChildren().setAll(wide ? beside() : scroll(new VBox(main, side)));
    }
    if (wide) {
      sideScroll.setMinWidth(SIDE_EM * em);
      sideScroll.setMaxWidth(SIDE_EM * em);
      sideScroll.setPrefWidth(SIDE_EM * em);
    }
  }

  private Node beside() {
    ScrollPane left = scroll(main);
    sideScroll = scroll(side);
    sideScroll.getStyleClass().add("side-scroll");
    HBox.setHgrow(left, Priority.ALWAYS);
    return new HBox(left, sideScroll);
  }

  /** A pane that scrolls up and down and never sideways. */
  public static ScrollPane scroll(Node content) {
    ScrollPane scroll = new ScrollPane(content);
    scroll.setFitToWidth(true);
    scroll.setFitToHeight(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFocusTraversable(false);
    return scroll;
  }
}
