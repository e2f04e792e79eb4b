package org.wiseember.desktop.frame;

import java.util.List;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Desk;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.test.TestHelp;
import org.wiseember.trial.test.TestType;

/** How the stage one is on is used, and on the bench how the chosen test is made. */
final class HelpPage extends VBox {
  private final Desk desk;

  HelpPage(Desk desk) {
    super(8);
    this.desk = desk;
    desk.stage().addListener((o, was, is) -> show());
    desk.bench().test().addListener((o, was, is) -> show());
    show();
  }

  private void show() {
    StageName stage = desk.stage().get();
    getChildren().setAll(Words.of("heading", stage.words()), Words.of("quiet", stage.help()));
    if (stage == StageName.BENCH) {
      test(desk.bench().test().get());
    }
  }

  private void test(TestType test) {
    TestHelp help = test.help();
    getChildren().add(Words.of("heading", test.words() + ": how it is made"));
    for (int i = 0; i < help.how().size(); i++) {
      Region words = Words.of("figure", help.how().get(i));
      HBox.setHgrow(words, Priority.ALWAYS);
      getChildren().add(new HBox(8, Words.line("figure-quiet", (i + 1) + "."), words));
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
    getChildren()
        .addAll(Words.of("strong", "Where it is written"), Words.of("quiet", help.written() + "."));
  }

  private void list(String name, List<String> sentences) {
    if (!sentences.isEmpty()) {
      getChildren().add(Words.of("strong", name));
      sentences.forEach(s -> getChildren().add(Words.of("figure", s)));
    }
  }
}
