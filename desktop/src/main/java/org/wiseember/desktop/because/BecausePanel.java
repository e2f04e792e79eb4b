package org.wiseember.desktop.because;

import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Because;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.desktop.app.Desk;
import org.wiseember.desktop.app.StageName;
import org.wiseember.desktop.look.MiniTrace;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.test.drain.DrainRun;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.test.TestRun;
import org.wiseember.trial.page.TrialPage;

/** The panel that tells why: the run in little, the sum, how sure, what to watch out for. */
public final class BecausePanel extends VBox {
  private final Desk desk;

  public BecausePanel(Desk desk) {
    this.desk = desk;
    getStyleClass().add("side");
    setId("because");
  }

  /** Explains one line of a judgement. */
  public void explain(Judgement judgement, Judged line) {
    getChildren().clear();
    line(Words.of("quiet", "Because"));
    line(Words.of("heading", line.title()));
    Optional<Because> because = line.because();
    if (because.isEmpty()) {
      untested(line);
      return;
    }
    because(because.get());
    line.verdict().ifPresent(this::verdict);
    line.runId().flatMap(id -> TrialPage.run(judgement, id)).ifPresent(this::run);
    details(because.get());
    line.runId().ifPresent(this::openRun);
  }

  /** Explains the main figure of one run. */
  public void explain(TestRun run) {
    getChildren().clear();
    line(Words.of("quiet", "Because"));
    Optional<Because> because = run.because();
    if (because.isEmpty()) {
      line(Words.of("heading", "No figure"));
      run.warnings().forEach(w -> line(Words.of("because-text", w.message())));
      return;
    }
    line(Words.of("heading", because.get().title()));
    because(because.get());
    run(run);
    details(because.get());
  }

  /** Explains a figure that rests on several runs. */
  public void explain(Because because) {
    getChildren().clear();
    line(Words.of("quiet", "Because"));
    line(Words.of("heading", because.title()));
    because(because);
    details(because);
  }

  private void line(javafx.scene.Node node) {
    getChildren().add(node);
  }

  private void because(Because because) {
    int split = because.figure().indexOf(" ± ");
    Label big =
        Words.line("big", split < 0 ? because.figure() : because.figure().substring(0, split));
    HBox figure = new HBox(big);
    figure.setSpacing(7);
    figure.setStyle("-fx-alignment: baseline-left;");
    if (split >= 0) {
      Label rest = Words.line("measured", because.figure().substring(split + 1));
      figure.getChildren().add(rest);
    }
    line(figure);
    line(Words.of("quiet", because.summary()));
  }

  private void verdict(Verdict verdict) {
    Label standing = Words.of("standing", verdict.standing().words());
    standing.getStyleClass().add(VerdictTone.of(verdict.standing()));
    line(standing);
    line(Words.of("because-text", verdict.reason()));
  }

  private void run(TestRun run) {
    MiniTrace mini = new MiniTrace(TrialPage.watts(run));
    mini.setMinHeight(78);
    mini.setPrefHeight(78);
    mini.setMaxWidth(Double.MAX_VALUE);
    line(mini);
    line(Words.of("quiet", run instanceof DrainRun drain ? drained(drain) : run.run().title()));
  }

  private static String drained(DrainRun drain) {
    String mean =
        drain
            .finding()
            .meanPower()
            .map(Estimate::value)
            .map(w -> Figures.fixed(w, 0) + " W mean, ")
            .orElse("");
    String end =
        drain
            .finding()
            .duration()
            .map(
                d ->
                    (drain.complete() ? "shut off after " : "followed for ")
                        + Figures.duration(d.value()))
            .orElse("");
    return mean + end;
  }

  private void details(Because because) {
    section("Worked out");
    for (String step : because.workedOut()) {
      line(Words.of("figure", step));
    }
    if (!because.budget().contributions().isEmpty()) {
      howSure(because);
    }
    if (!because.watchOut().isEmpty()) {
      section("Watch out");
      because.watchOut().forEach(watch -> line(Words.of("because-text", watch)));
    }
    if (!because.otherReading().isEmpty()) {
      section("Another reading");
      line(Words.of("because-text", because.otherReading()));
    }
  }

  private void howSure(Because because) {
    section("How sure");
    double u95 = because.budget().u95();
    int decimals = Figures.decimalsFor(u95) + 1;
    for (Contribution c : because.budget().contributions()) {
      line(budgetRow(c.name(), "± " + Figures.fixed(c.alone95(), decimals), "figure"));
    }
    line(
        budgetRow(
            "Together, 95 %",
            "± " + Figures.fixed(u95, decimals) + " " + because.unit().symbol(), "strong"));
  }

  private void section(String words) {
    Label heading = Words.of("heading", words);
    heading.setStyle("-fx-padding: 0.7em 0 0 0;");
    line(heading);
  }

  private static HBox budgetRow(String name, String figure, String style) {
    Label left = Words.of(style, name);
    HBox.setHgrow(left, Priority.ALWAYS);
    left.setMaxWidth(Double.MAX_VALUE);
    HBox row = new HBox(left, Words.line(style, figure));
    row.setSpacing(10);
    return row;
  }

  private void openRun(long id) {
    line(
        new HBox(
            Words.button(
                "action",
                "Open the run",
                () -> {
                  desk.shownRun().set(id);
                  desk.stage().set(StageName.EVIDENCE);
                })));
  }

  private void untested(Judged line) {
    line(Words.of("claimed", line.claim().figureWords()));
    line.claim().conditionWords().ifPresent(w -> line(Words.of("quiet", w)));
    if (line.verdict().isEmpty()) {
      line(Words.of("because-text", "A plain fact on the label; nothing to judge."));
      return;
    }
    line(Words.of("because-text", line.verdict().get().reason()));
    if (!line.claim().printedAs().isEmpty()) {
      line(Words.of("quiet", "Printed as “" + line.claim().printedAs() + "”"));
    }
  }
}
