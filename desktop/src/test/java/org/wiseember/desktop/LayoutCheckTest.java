package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import org.testfx.api.FxToolkit;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The check that guards the layout finds what it is there to find. */
public class LayoutCheckTest {
  @BeforeClass
  public void startToolkit() throws Exception {
    FxToolkit.registerPrimaryStage();
  }

  private static Label at(String text, double x, double y) {
    Label label = new Label(text);
    label.setStyle("-fx-text-fill: #222222; -fx-font-size: 13px;");
    label.relocate(x, y);
    return label;
  }

  private static List<String> problems(Label... labels) {
    return OpenWindow.onFx(
        () -> {
          Pane pane = new Pane(labels);
          pane.setStyle("-fx-background-color: #FFFFFF;");
          Scene scene = new Scene(new StackPane(pane), 300, 200);
          Stage stage = new Stage();
          stage.setScene(scene);
          stage.show();
          scene.getRoot().applyCss();
          scene.getRoot().layout();
          List<String> found = LayoutCheck.problems(scene);
          stage.hide();
          return found;
        });
  }

  private static void finds(String what, Label... labels) {
    List<String> found = problems(labels);
    assertTrue(found.stream().anyMatch(p -> p.startsWith(what)), what + " not in " + found);
  }

  @Test
  public void aTidyPageHasNoProblems() {
    assertEquals(problems(at("one", 10, 10), at("two", 10, 40)), List.of());
  }

  @Test
  public void findsElidedText() {
    Label label = at("a sentence that is far too long for its place", 10, 10);
    label.setMaxWidth(60);
    finds("elided", label);
  }

  @Test
  public void findsTextCutByTheWindow() {
    Label label = at("runs out of the window on the right", 250, 10);
    label.setMinWidth(240);
    finds("cut at the side", label);
    finds("cut above or below", at("below the edge", 10, 195));
  }

  @Test
  public void findsOverlappingText() {
    finds("overlap", at("first words", 10, 10), at("second words", 30, 14));
  }

  @Test
  public void findsFaintText() {
    Label label = at("hardly there", 10, 10);
    label.setStyle("-fx-text-fill: #999999;");
    finds("contrast", label);
  }
}
