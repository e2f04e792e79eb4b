package org.wiseember.desktop.because;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.desktop.look.InUnits;
import org.wiseember.desktop.look.MiniTrace;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;

/** The panel that tells why: the run in little, the sum, how sure, what to watch out for. */
public final class BecausePanel extends VBox {
  private final Session session;

  public BecausePanel(Session session) {
    this.session = session;
    getStyleClass().add("side");
    setId("because");
  }

  /** Explains one line of a judgement by the very figure that was judged. */
  public void explain(Judgement judgement, Judged line) {
    begin(line.title());
    Optional<Figure> figure = line.figure();
    if (figure.isEmpty()) {
      unread(line);
      line.runId().ifPresent(this::openRun);
      return;
    }
    Explanation why = Explanation.of(figure.get());
    Optional<TestRun> run = line.runId().flatMap(judgement::run);
    answer(why);
    line.verdict().ifPresent(this::verdict);
    run.ifPresent(this::run);
    details(why, run);
    line.runId().ifPresent(this::openRun);
  }

  /** Explains an answer of a run: a figure, or a word such as a count. */
  public void explain(TestRun run, Explanation why) {
    begin(why.title());
    answer(why);
    run(run);
    details(why, Optional.of(run));
  }

  /** Explains the first answer of a run. */
  public void explain(TestRun run) {
    Optional<Explanation> why = run.headline();
    if (why.isPresent()) {
      explain(run, why.get());
      return;
    }
    begin("No figure");
    run.allWarnings().forEach(w -> line(Words.of("because-text", w.message())));
  }

  /** Explains an answer that rests on no single run. */
  public void explain(Explanation why) {
    begin(why.title());
    answer(why);
    details(why, Optional.empty());
  }

  private void begin(String title) {
    getChildren().clear();
    line(Words.of("quiet", "Because"));
    line(Words.of("heading", title));
  }

  private void line(Node node) {
    getChildren().add(node);
  }

  private void answer(Explanation why) {
    String answer = InUnits.told(why.answer());
    int split = answer.indexOf(" ± ");
    Label big = split < 0 ? Words.of("big", answer) : Words.line("big", answer.substring(0, split));
    HBox figure = new HBox(big);
    figure.setSpacing(7);
    figure.setStyle("-fx-alignment: baseline-left;");
    if (split >= 0) {
      figure.getChildren().add(Words.line("measured", answer.substring(split + 1)));
    }
    line(figure);
    if (!why.because().summary().isEmpty()) {
      line(Words.of("quiet", why.because().summary()));
    }
  }

  private void verdict(Verdict verdict) {
    Label standing = Words.of("standing", verdict.standing().words());
    standing.getStyleClass().add(VerdictTone.of(verdict.standing()));
    line(standing);
    line(Words.of("because-text", verdict.reason()));
  }

  private void run(TestRun run) {
    MiniTrace mini = new MiniTrace(run.preview());
    mini.setMinHeight(78);
    mini.setPrefHeight(78);
    mini.setMaxWidth(Double.MAX_VALUE);
    Words.shown(mini, run.preview().size() > 1);
    line(mini);
    line(Words.of("quiet", run.caption()));
  }

  private void details(Explanation why, Optional<TestRun> run) {
    Because because = why.because();
    if (!because.workedOut().isEmpty()) {
      section("Worked out");
      because.workedOut().forEach(step -> line(Words.of("figure", step)));
    }
    if (!because.madeFrom().isEmpty()) {
      section("Made from");
      because.madeFrom().forEach(source -> line(link(source, why, run)));
    }
    if (!because.budget().contributions().isEmpty()) {
      howSure(because.budget(), why.unit());
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

  /** A figure it was made from; it opens its own because, from where there is a way back. */
  private Node link(Because.Source source, Explanation from, Optional<TestRun> run) {
    Figure figure = source.figure();
    Label words = Words.of("link", figure.name() + " " + figure.words() + " ›");
    HBox row = new HBox(words);
    row.getStyleClass().add("opens");
    Row.make(
        row,
        figure.name() + " " + figure.words(),
        () -> {
          Optional<TestRun> behind =
              source.runId() == Because.SAME_RUN
                  ? run
                  : Optional.ofNullable(session.shelf().chosen().get())
                      .flatMap(j -> j.run(source.runId()));
          begin(figure.name());
          Explanation why = Explanation.of(figure);
          answer(why);
          behind.ifPresent(this::run);
          details(why, behind);
          line(new HBox(back(from, run)));
        });
    return row;
  }

  private Node back(Explanation to, Optional<TestRun> run) {
    var back =
        Words.button(
            "action",
            "Back to " + to.title(),
            () -> run.ifPresentOrElse(r -> explain(r, to), () -> explain(to)));
    back.setId("because-back");
    return back;
  }

  private void howSure(Budget budget, Unit unit) {
    section("How sure");
    double u95 = budget.u95();
    int decimals = Figures.decimalsFor(u95) + 1;
    for (Contribution c : budget.contributions()) {
      line(
          budgetRow(
              c.name(),
              "± "
                  + Figures.fixed(
                      session.look().units().get().shownDifference(c.alone95(), unit), decimals),
              "figure"));
    }
    line(
        budgetRow(
            "Together, 95 %",
            Figures.withUnit("± " + Figures.fixed(u95, decimals), unit), "strong"));
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
                  session.at().shownRun().set(id);
                  session.at().stage().set(StageName.EVIDENCE);
                })));
  }

  /** Nobody read anything of it. */
  private void unread(Judged line) {
    line(Words.of("claimed", line.claim().figureWords()));
    line.claim().conditionWords().ifPresent(w -> line(Words.of("quiet", w)));
    if (line.verdict().isEmpty()) {
      line(Words.of("because-text", "A plain fact on the label; nothing to judge."));
      return;
    }
    line(Words.of("because-text", line.verdict().get().reason()));
    if (!line.claim().printedAs().isEmpty()) {
      line(Words.of("quiet", "Printed as “" + ReaderUnits.quoted(line.claim().printedAs()) + "”"));
    }
  }
}
