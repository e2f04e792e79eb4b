package org.wiseember.desktop.finding;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Explanation;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;

/** The figures a run is looked at for, side by side; each opens how it came about. */
public final class HeadFigures extends FlowPane {
  private final Consumer<Explanation> open;

  /**
   * Makes the row.
   *
   * @param open tells why of one of them
   */
  public HeadFigures(Consumer<Explanation> open) {
    super(26, 8);
    this.open = open;
    setId("head-figures");
  }

  /** Shows these figures in place of those before. */
  public void of(List<Explanation> figures) {
    getChildren().setAll(figures.stream().map(this::one).toList());
    Words.shown(this, !figures.isEmpty());
  }

  private Node one(Explanation figure) {
    VBox one =
        new VBox(Words.line("quiet", figure.title()), Words.line("measured", figure.answer()));
    one.getStyleClass().addAll("opens", "head-figure");
    Row.make(
        one,
        figure.title() + " " + figure.answer(),
        () -> {
          getChildren().forEach(c -> Row.chosen(c, c == one));
          open.accept(figure);
        });
    return one;
  }
}
