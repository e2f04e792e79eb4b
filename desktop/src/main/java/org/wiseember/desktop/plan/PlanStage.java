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
import org.wiseember.desktop.model.Session;

/** What comes when, and what to settle before a test: panels for the solar port, cables. */
public final class PlanStage extends StackPane {
  private enum Page {
    CAMPAIGN,
    SOLAR,
    CABLES
  }

  private final VBox main = new VBox();
  private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.CAMPAIGN);
  private final Node pages;
  private final StackPane side = new StackPane();
  private final BecausePanel because;
  private final CampaignPage campaign;
  private final SolarPage solar;
  private final CablePage cables;

  public PlanStage(Session session) {
    main.getStyleClass().add("stage");
    Map<Page, String> words = new LinkedHashMap<>();
    words.put(Page.CAMPAIGN, "What comes when");
    words.put(Page.SOLAR, "Solar port");
    words.put(Page.CABLES, "Cables and fuses");
    pages = Choices.row("Plan", "plan-", words, page);
    because = new BecausePanel(session);
    campaign = new CampaignPage(session);
    solar = new SolarPage(session, because, () -> page.get() == Page.SOLAR);
    cables = new CablePage(because, () -> page.get() == Page.CABLES);
    page.addListener((o, was, is) -> show());
    getChildren().add(new Adaptive(main, side, session.look().textScale()));
    show();
  }

  private void show() {
    side.getChildren().setAll(page.get() == Page.CAMPAIGN ? campaign.side() : because);
    if (page.get() == Page.CAMPAIGN) {
      main.getChildren().setAll(pages, campaign);
    } else if (page.get() == Page.SOLAR) {
      main.getChildren().setAll(pages, solar);
      solar.explain();
    } else {
      main.getChildren().setAll(pages, cables);
      cables.work();
    }
  }
}
