package org.wiseember.desktop.evidence;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.VBox;
import org.wiseember.core.idle.IdleFinding;
import org.wiseember.core.idle.SmallLoad;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.test.idle.IdleRun;
import org.wiseember.trial.verdict.Judgement;

/** What a unit draws in every state, how long it lasts so, and when to use its DC side. */
final class IdleView extends VBox {
  IdleView() {
    getStyleClass().add("sheet");
    setSpacing(6);
  }

  void of(Judgement judgement, IdleRun run) {
    List<List<String>> rows = new ArrayList<>();
    for (IdleRun.InState state : run.states()) {
      IdleFinding f = state.finding();
      rows.add(
          List.of(
              capital(state.words()),
              f.power().map(IdleView::figure).map(w -> w + " W").orElse("–"),
              f.current().map(IdleView::figure).map(a -> a + " A").orElse("–"),
              f.hours().map(IdleView::figure).map(h -> h + " h").orElse("–"),
              f.way().map(w -> w.words()).orElse("–")));
    }
    getChildren()
        .setAll(new FigureTable(List.of("State", "Draw", "Amps", "Until empty", "How"), rows));
    if (!judgement.together().smallLoads().isEmpty()) {
      getChildren().add(Words.of("heading", "When to use the DC side"));
      for (SmallLoad load : judgement.together().smallLoads()) {
        getChildren().add(Words.of("notice-text", load.words()));
      }
    }
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  private static String figure(Estimate e) {
    return Figures.withUncertainty(e.value(), e.u95());
  }
}
