package org.wiseember.desktop.label;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.animation.PauseTransition;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.util.Duration;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.LabelCheck;
import org.wiseember.core.label.LabelReader;
import org.wiseember.core.label.LineReading;
import org.wiseember.core.label.Subject;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.TestedUnit;

/**
 * The label of the chosen unit: typed on the left, claims on the right, held against itself below.
 */
public final class LabelStage extends StackPane {
  /** Typing is saved after this pause. */
  private static final Duration PAUSE = Duration.millis(350);

  private final Session session;
  private final TextField name = new TextField();
  private final Button toBench;
  private final LabelEditor editor = new LabelEditor();
  private final VBox claims = new VBox();
  private final VBox checks = new VBox();
  private final VBox doubts = new VBox();
  private final GridPane columns = new GridPane();
  private final ClaimPanel panel = new ClaimPanel(this::made, this::keep, this::drop);
  private final Adaptive adaptive;
  private final javafx.scene.control.Label count = Words.of("quiet", "");
  private final PauseTransition pause = new PauseTransition(PAUSE);
  private List<Claim> byHand = List.of();
  private long unitId = -1;
  private boolean filling;
  private Claim chosen;

  public LabelStage(Session session) {
    this.session = session;
    VBox main = new VBox();
    main.getStyleClass().add("stage");
    name.getStyleClass().setAll("text-input", "text-field", "name-field");
    name.setId("unit-name");
    name.setAccessibleText("Name of the unit");
    name.setOnAction(e -> editor.area().requestFocus());
    name.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                session.units().rename(unitId, name.getText());
              }
            });
    toBench =
        Words.button(
            "action-main", "To the bench", () -> session.at().stage().set(StageName.BENCH));
    toBench.setId("to-bench");
    claims.setSpacing(3);
    checks.setSpacing(4);
    doubts.setSpacing(4);
    columns.setHgap(16);
    columns.setVgap(12);
    main.getChildren().add(inOrderOfWork());
    adaptive = new Adaptive(main, panel, session.look().textScale());
    columns.widthProperty().addListener((o, was, is) -> arrange());
    session.look().textScale().addListener((o, was, is) -> arrange());
    arrange();
    editor.area().textProperty().addListener((o, was, is) -> typed());
    editor
        .area()
        .addEventFilter(
            KeyEvent.KEY_PRESSED,
            e -> {
              // Tab leaves the label, as everywhere else; a label has no use for tabs.
              if (e.getCode() == KeyCode.TAB && !e.isShortcutDown()) {
                if (e.isShiftDown()) {
                  name.requestFocus();
                } else if (claims.getChildren().isEmpty()) {
                  toBench.requestFocus();
                } else {
                  claims.getChildren().get(0).requestFocus();
                }
                e.consume();
              }
            });
    pause.setOnFinished(e -> save());
    sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (is == null) {
                save();
              }
            });
    session.shelf().chosen().addListener((o, was, is) -> rebuild());
    rebuild();
  }

  /** Tab goes from the name to the label and its claims; the way out comes last. */
  private GridPane inOrderOfWork() {
    GridPane page = new GridPane();
    page.setHgap(14);
    page.setVgap(12);
    GridPane.setHgrow(name, Priority.ALWAYS);
    page.add(name, 0, 0);
    page.add(
        Words.of(
            "quiet",
            "Type or paste the label as it is printed. Each line that is understood becomes a"
                + " claim."),
        0,
        1,
        2,
        1);
    page.add(columns, 0, 2, 2, 1);
    page.add(toBench, 1, 0);
    return page;
  }

  private void arrange() {
    boolean wide = columns.getWidth() > 43 * 13 * session.look().textScale().get();
    columns.getChildren().clear();
    columns.getColumnConstraints().clear();
    for (int i = 0; i < (wide ? 2 : 1); i++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(wide ? 50 : 100);
      column.setHalignment(HPos.LEFT);
      columns.getColumnConstraints().add(column);
    }
    VBox right = new VBox(new HBox(Words.of("heading", "Claims"), Words.spring(), count), claims);
    right.setSpacing(6);
    VBox left = new VBox(editor, doubts, checks);
    left.setSpacing(12);
    columns.add(left, 0, 0);
    columns.add(right, wide ? 1 : 0, wide ? 0 : 1);
    GridPane.setValignment(left, javafx.geometry.VPos.TOP);
    GridPane.setValignment(right, javafx.geometry.VPos.TOP);
  }

  private void rebuild() {
    Judgement judgement = session.shelf().chosen().get();
    if (judgement == null) {
      unitId = -1;
      getChildren()
          .setAll(
              new EmptyStage(
                  "An empty shelf",
                  "Units stand on the shelf at the left. Add the first one and type its label line by"
                      + " line, the way it is printed on the box or the data sheet.",
                  "Add a unit",
                  session.units()::addUnit));
      return;
    }
    if (getChildren().isEmpty() || getChildren().get(0) != adaptive) {
      getChildren().setAll(adaptive);
    }
    TestedUnit unit = judgement.unit();
    boolean another = unit.id() != unitId;
    if (another) {
      save();
      unitId = unit.id();
      chosen = null;
      panel.explainNothing();
    }
    if (another || (!pending() && !editor.area().getText().equals(unit.label().text()))) {
      filling = true;
      editor.area().setText(unit.label().text());
      filling = false;
    }
    if (another || !name.isFocused()) {
      name.setText(unit.name());
    }
    byHand = unit.label().byHand();
    Label label = Label.read(editor.area().getText(), byHand);
    if (another) {
      label
          .claim(Subject.CAPACITY)
          .or(() -> label.claims().stream().findFirst())
          .ifPresent(
              first -> {
                chosen = first;
                panel.explain(first, byHand.contains(first));
              });
    }
    show(label);
    if (another && judgement.unit().label().text().isBlank()) {
      Focus.give(name, name::selectAll);
    }
  }

  private boolean pending() {
    return pause.getStatus() == javafx.animation.Animation.Status.RUNNING;
  }

  private void typed() {
    show(Label.read(editor.area().getText(), byHand));
    if (!filling) {
      pause.playFromStart();
    }
  }

  private void save() {
    pause.stop();
    if (unitId >= 0) {
      session.units().saveLabel(unitId, editor.area().getText(), byHand);
    }
  }

  /** How often a test was made of the chosen unit. */
  private long made(TestType test) {
    Judgement judgement = session.shelf().chosen().get();
    return judgement == null
        ? 0
        : judgement.runs().stream().filter(r -> r.type().equals(test)).count();
  }

  private void keep(Claim claim) {
    List<Claim> next = new ArrayList<>(byHand);
    next.removeIf(c -> c.subject() == claim.subject() && c.printedAs().equals(claim.printedAs()));
    next.add(claim);
    byHand = List.copyOf(next);
    chosen = claim;
    save();
    show(Label.read(editor.area().getText(), byHand));
    panel.explain(claim, true);
  }

  private void drop(Claim claim) {
    List<Claim> next = new ArrayList<>(byHand);
    next.remove(claim);
    byHand = List.copyOf(next);
    chosen = null;
    save();
    show(Label.read(editor.area().getText(), byHand));
    panel.explainNothing();
  }

  private void show(Label label) {
    editor.show(label.readings());
    List<Claim> all = label.claims();
    count.setText(LabelReader.countWords(all.size()));
    claims.getChildren().clear();
    for (Claim claim : all) {
      claims.getChildren().add(row(claim));
    }
    showDoubts(label);
    showChecks(label);
  }

  private Node row(Claim claim) {
    javafx.scene.control.Label title = Words.of("claim-title", claim.subject().words());
    javafx.scene.control.Label figure = Words.of("claimed", claim.figureWords());
    figure.setStyle("-fx-text-alignment: right;");
    GridPane.setHalignment(figure, HPos.RIGHT);
    javafx.scene.control.Label condition =
        Words.of("quiet", claim.conditionWords().orElse(byHand.contains(claim) ? "by hand" : ""));
    GridPane grid = new GridPane();
    for (double percent : new double[] {36, 34, 30}) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(percent);
      grid.getColumnConstraints().add(column);
    }
    grid.setHgap(10);
    grid.addRow(0, title, figure, condition);
    grid.getStyleClass().addAll("row", "claim-row");
    Row.chosen(grid, claim.equals(chosen));
    Row.make(
        grid,
        claim.subject().words() + " " + claim.figureWords(),
        () -> {
          chosen = claim;
          panel.explain(claim, byHand.contains(claim));
          claims.getChildren().forEach(n -> Row.chosen(n, n == grid));
        });
    return grid;
  }

  private void showDoubts(Label label) {
    doubts.getChildren().clear();
    List<LineReading> readings = label.readings();
    for (int i = 0; i < readings.size(); i++) {
      if (readings.get(i) instanceof LineReading.Doubtful doubtful) {
        HBox row =
            new HBox(
                dot("dot-open"), Words.of("doubt", "Line " + (i + 1) + ", " + doubtful.problem()));
        row.setSpacing(10);
        row.getStyleClass().addAll("row", "doubt-row");
        doubts.getChildren().add(row);
      }
    }
  }

  private static Circle dot(String style) {
    Circle dot = new Circle(5);
    dot.getStyleClass().add(style);
    return dot;
  }

  private void showChecks(Label label) {
    checks.getChildren().clear();
    List<LabelCheck.Finding> findings = LabelCheck.of(label);
    if (findings.isEmpty()) {
      return;
    }
    checks.getChildren().add(Words.of("heading", "The label against itself"));
    for (LabelCheck.Finding finding : findings) {
      VBox words =
          new VBox(
              Words.of("check-sum", finding.statement()),
              Words.of(
                  "quiet",
                  finding.outcome() == LabelCheck.Outcome.CONTRADICTS
                      ? "contradicts itself: " + finding.remark()
                      : finding.remark()));
      HBox.setHgrow(words, Priority.ALWAYS);
      HBox grid = new HBox(dot("dot-" + finding.outcome().name().toLowerCase(Locale.ROOT)), words);
      grid.setSpacing(10);
      grid.getStyleClass().addAll("row", "check-row");
      grid.setAccessibleText(finding.outcome().words());
      checks.getChildren().add(grid);
    }
  }
}
