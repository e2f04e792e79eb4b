package org.wiseember.desktop.plan;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.model.Desk;

/** What to settle before a test: panels for the solar port, cables for every rig. */
public final class PlanStage extends StackPane {
  private enum Page {
    SOLAR,
    CABLES
  }

  private final VBox main = new VBox();
  private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.SOLAR);
  private final Node pages;
  private final SolarPage solar;
  private final CablePage cables;

  public PlanStage(Desk desk) {
    main.getStyleClass().add("stage");
    Map<Page, String> words = new LinkedHashMap<>();
    words.put(Page.SOLAR, "Solar port");
    words.put(Page.CABLES, "Cables and fuses");
    pages = Choices.row("Plan", "plan-", words, page);
    BecausePanel because = new BecausePanel(desk);
    solar = new SolarPage(desk, because, () -> page.get() == Page.SOLAR);
    cables = new CablePage(because, () -> page.get() == Page.CABLES);
    page.addListener((o, was, is) -> show());
    getChildren().add(new Adaptive(main, because, desk.textScale()));
    show();
  }

  private void show() {
    if (page.get() == Page.SOLAR) {
      main.getChildren().setAll(pages, solar);
      solar.explain();
    } else {
      main.getChildren().setAll(pages, cables);
      cables.work();
    }
  }
}
