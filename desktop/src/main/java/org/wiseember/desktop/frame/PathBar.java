package org.wiseember.desktop.frame;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.kind.LabelInputs;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Run;

/**
 * The path: the stages in the order of work, each marked none, begun or done for the chosen unit.
 */
public final class PathBar extends StackPane {
  private enum Mark {
    NONE,
    BEGUN,
    DONE
  }

  private final Session session;
  private final Map<StageName, VBox> steps = new EnumMap<>(StageName.class);
  private final Map<StageName, Circle> marks = new EnumMap<>(StageName.class);

  public PathBar(Session session) {
    this.session = session;
    getStyleClass().add("path");
    HBox row = new HBox();
    List<Line> lines = new ArrayList<>();
    for (StageName stage : StageName.values()) {
      Circle mark = new Circle(5.5);
      VBox step = new VBox(mark, Words.line("path-word", stage.words()));
      step.getStyleClass().add("path-step");
      step.setId("stage-" + stage.words());
      Row.make(step, stage.words(), () -> session.at().stage().set(stage));
      HBox.setHgrow(step, Priority.ALWAYS);
      step.setMaxWidth(Double.MAX_VALUE);
      row.getChildren().add(step);
      steps.put(stage, step);
      marks.put(stage, mark);
      if (steps.size() > 1) {
        Line line = new Line();
        line.getStyleClass().add("path-line");
        line.setManaged(false);
        lines.add(line);
      }
    }
    Pane behind =
        new Pane() {
          @Override
          protected void layoutChildren() {
            connect(lines);
          }
        };
    behind.getChildren().addAll(lines);
    behind.setMouseTransparent(true);
    getChildren().addAll(row, behind);
    row.layoutBoundsProperty().addListener((o, was, is) -> behind.requestLayout());
    session.at().stage().addListener((o, was, is) -> update());
    session.shelf().chosen().addListener((o, was, is) -> update());
    session.bench().live().addListener((o, was, is) -> update());
    session.solar().panels().addListener((o, was, is) -> update());
    session.dayWork().chosen().addListener((o, was, is) -> update());
    update();
  }

  private void connect(List<Line> lines) {
    StageName[] order = StageName.values();
    for (int i = 0; i < lines.size(); i++) {
      Circle a = marks.get(order[i]);
      Circle b = marks.get(order[i + 1]);
      var from = sceneToLocal(a.localToScene(a.getCenterX(), a.getCenterY()));
      var to = sceneToLocal(b.localToScene(b.getCenterX(), b.getCenterY()));
      if (from == null || to == null) {
        continue;
      }
      double left = snappedLeftInset();
      double top = snappedTopInset();
      lines.get(i).setStartX(from.getX() - left + 11);
      lines.get(i).setStartY(from.getY() - top);
      lines.get(i).setEndX(to.getX() - left - 11);
      lines.get(i).setEndY(to.getY() - top);
    }
  }

  private void update() {
    Judgement judgement = session.shelf().chosen().get();
    for (StageName stage : StageName.values()) {
      boolean chosen = session.at().stage().get() == stage;
      Row.chosen(steps.get(stage), chosen);
      Mark mark = judgement == null ? Mark.NONE : markOf(stage, judgement);
      steps
          .get(stage)
          .setAccessibleText(
              stage.words()
                  + switch (mark) {
                    case NONE -> ", not begun";
                    case BEGUN -> ", begun";
                    case DONE -> ", done";
                  });
      marks
          .get(stage)
          .getStyleClass()
          .setAll(
              "path-mark",
              chosen
                  ? "path-mark-chosen"
                  : switch (mark) {
                    case NONE -> "path-mark-none";
                    case BEGUN -> "path-mark-begun";
                    case DONE -> "path-mark-done";
                  });
    }
  }

  private Mark markOf(StageName stage, Judgement judgement) {
    boolean claims = !judgement.unit().label().claims().isEmpty();
    boolean runs = !judgement.runs().isEmpty();
    boolean complete = judgement.drains().stream().anyMatch(Drained::complete);
    boolean allDone = judgement.runs().stream().allMatch(r -> r.run().state() == Run.State.DONE);
    return switch (stage) {
      case LABEL -> claims ? Mark.DONE : Mark.NONE;
      case PLAN -> planned(judgement) ? Mark.BEGUN : Mark.NONE;
      case BENCH -> !runs ? Mark.NONE : complete && allDone ? Mark.DONE : Mark.BEGUN;
      case EVIDENCE -> complete ? Mark.DONE : runs ? Mark.BEGUN : Mark.NONE;
      case VERDICT -> complete ? Mark.DONE : Mark.NONE;
      case REPORT -> complete ? Mark.BEGUN : Mark.NONE;
      case RUN_TIME -> !laidOut() ? Mark.NONE : complete ? Mark.DONE : Mark.BEGUN;
      case LINE_UP ->
          !complete ? Mark.NONE : session.shelf().places().size() > 1 ? Mark.DONE : Mark.BEGUN;
    };
  }

  /** Something is on, on some day. */
  private boolean laidOut() {
    return session.dayWork().days().stream().anyMatch(d -> !d.day().appliances().isEmpty());
  }

  /** Panels are named and the label tells where they would go in. */
  private boolean planned(Judgement judgement) {
    return !session.solar().panels().get().lots().isEmpty()
        && LabelInputs.port(judgement.unit().label()).isPresent();
  }
}
