package org.wiseember.desktop.frame;

import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.desktop.look.Look;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Desk;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.test.TestHelp;
import org.wiseember.trial.test.TestType;

/**
 * F1: how the stage one is on is used, and on the bench how the chosen test is made. It lies beside
 * the work and stops nothing.
 */
final class HelpPanel extends VBox {
  private static final double WIDE_EM = 27;
  private static final double WIDEST = 560;
  private static final double HEAD_EM = 5.2;

  private final Desk desk;
  private final VBox page = new VBox(8);

  HelpPanel(Desk desk, Runnable close) {
    this.desk = desk;
    setId("help");
    getStyleClass().add("find");
    ScrollPane scroll = new ScrollPane(page);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("side-scroll");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    HBox foot = new HBox(Words.spring(), Words.button("action", "Close   F1", close));
    getChildren().addAll(scroll, foot);
    desk.stage().addListener((o, was, is) -> show());
    desk.bench().test().addListener((o, was, is) -> show());
    desk.textScale().addListener((o, was, is) -> size());
    size();
    show();
  }

  private void size() {
    double width = WIDE_EM * Look.BASE * desk.textScale().get();
    setMinWidth(Math.min(width, WIDEST));
    setMaxSize(Math.min(width, WIDEST), Region.USE_COMPUTED_SIZE);
    StackPane.setAlignment(this, Pos.TOP_RIGHT);
    // Start and stop stand in the head of a stage and are never covered.
    StackPane.setMargin(this, new Insets(HEAD_EM * Look.BASE * desk.textScale().get(), 0, 0, 0));
  }

  private void show() {
    StageName stage = desk.stage().get();
    page.getChildren().setAll(Words.of("heading", stage.words()), Words.of("quiet", stage.help()));
    if (stage == StageName.BENCH) {
      test(desk.bench().test().get());
    }
  }

  private void test(TestType test) {
    TestHelp help = test.help();
    page.getChildren().add(Words.of("heading", test.words() + ": how it is made"));
    for (int i = 0; i < help.how().size(); i++) {
      Region words = Words.of("figure", help.how().get(i));
      HBox.setHgrow(words, Priority.ALWAYS);
      page.getChildren().add(new HBox(8, Words.line("figure-quiet", (i + 1) + "."), words));
    }
    list("Where testers differ", help.schools());
    list(
        "Take care",
        desk.bench()
            .plan()
            .map(
                p ->
                    p.procedure().steps().stream()
                        .map(DoNow::caution)
                        .filter(c -> !c.isEmpty())
                        .toList())
            .orElse(List.of()));
    page.getChildren()
        .addAll(Words.of("strong", "Where it is written"), Words.of("quiet", help.written() + "."));
  }

  private void list(String name, List<String> sentences) {
    if (!sentences.isEmpty()) {
      page.getChildren().add(Words.of("strong", name));
      sentences.forEach(s -> page.getChildren().add(Words.of("figure", s)));
    }
  }
}
