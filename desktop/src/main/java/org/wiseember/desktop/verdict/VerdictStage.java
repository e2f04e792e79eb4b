package org.wiseember.desktop.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.label.Group;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.because.VerdictTone;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;

/** Every claim of the chosen unit against the seam. */
public final class VerdictStage extends StackPane {
  private static final double[] COLUMNS = {26, 14.5, 16.5, 27, 16};

  private final Session session;
  private final VBox main = new VBox();
  private final BecausePanel because;
  private final Adaptive adaptive;
  private final CheckBox guard = new CheckBox("Guard band");
  private final List<Node> rows = new ArrayList<>();
  private String chosenTitle = "";

  public VerdictStage(Session session) {
    this.session = session;
    main.getStyleClass().add("stage");
    main.setStyle("-fx-spacing: 0;");
    because = new BecausePanel(session);
    adaptive = new Adaptive(main, because, session.look().textScale());
    guard.setId("guard-band");
    guard.setMinWidth(USE_PREF_SIZE);
    guard.selectedProperty().bindBidirectional(session.shelf().guardBand());
    session.shelf().chosen().addListener((o, was, is) -> rebuild());
    rebuild();
  }

  private void rebuild() {
    Judgement judgement = session.shelf().chosen().get();
    if (judgement == null || judgement.lines().stream().allMatch(l -> l.verdict().isEmpty())) {
      getChildren()
          .setAll(
              new EmptyStage(
                  judgement == null ? "Verdict" : judgement.unit().name(),
                  "Here every claim of the label is drawn against one line: its own promise. Type the"
                      + " label first; each line that is understood becomes a claim.",
                  "To the label",
                  () -> session.at().stage().set(StageName.LABEL)));
      return;
    }
    boolean hadFocus = guard.isFocused();
    getChildren().setAll(adaptive);
    main.getChildren().clear();
    rows.clear();
    main.getChildren().add(head(judgement));
    main.getChildren().add(columnHeads());
    for (Group group : Group.values()) {
      List<Judged> lines =
          judgement.lines().stream()
              .filter(l -> l.claim().subject().group() == group && l.verdict().isPresent())
              .toList();
      if (!lines.isEmpty()) {
        main.getChildren().add(groupHead(group));
        lines.forEach(line -> main.getChildren().add(row(judgement, line)));
      }
    }
    List<Judged> judged = judgement.lines().stream().filter(l -> l.verdict().isPresent()).toList();
    judged.stream()
        .filter(l -> l.title().equals(chosenTitle))
        .findFirst()
        .or(() -> TrialPage.mainLine(judgement))
        .or(() -> judged.stream().findFirst())
        .ifPresent(line -> explain(judgement, line));
    if (hadFocus) {
      Focus.keep(guard);
    }
  }

  private Node head(Judgement judgement) {
    VBox words =
        new VBox(
            Words.of("title", judgement.unit().name()),
            Words.of("quiet", TrialPage.summary(judgement)));
    judgement
        .unit()
        .origin()
        .ifPresent(
            o -> words.getChildren().add(Words.of("quiet", "This unit is " + o.words() + ".")));
    words.setSpacing(2);
    HBox.setHgrow(words, Priority.ALWAYS);
    var report =
        Words.button("action-main", "Report", () -> session.at().stage().set(StageName.REPORT));
    HBox head = new HBox(words, guard, report);
    head.setSpacing(14);
    head.getStyleClass().add("stage-head");
    head.setStyle("-fx-padding: 0 0 0.9em 0;");
    if (!session.shelf().guardBand().get()) {
      Label off =
          Words.of(
              "quiet",
              "The guard band is off: figures are compared as they are, however unsure they may be.");
      return new VBox(head, off);
    }
    return head;
  }

  private static GridPane grid() {
    GridPane grid = new GridPane();
    for (double percent : COLUMNS) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(percent);
      column.setFillWidth(true);
      grid.getColumnConstraints().add(column);
    }
    grid.setHgap(10);
    return grid;
  }

  private static Node columnHeads() {
    GridPane grid = grid();
    grid.getStyleClass().add("verdict-row");
    grid.add(Words.of("quiet", "Claim"), 0, 0);
    grid.add(right(Words.of("quiet", "Label")), 1, 0);
    grid.add(right(Words.of("quiet", "Measured")), 2, 0);
    grid.add(new ClaimScaleHead(), 3, 0);
    grid.add(Words.of("quiet", "Verdict"), 4, 0);
    return grid;
  }

  private static Node groupHead(Group group) {
    HBox head = new HBox(Words.of("heading", group.words()));
    head.getStyleClass().add("group");
    return head;
  }

  private static Label right(Label label) {
    GridPane.setHalignment(label, HPos.RIGHT);
    label.setStyle("-fx-text-alignment: right;");
    return label;
  }

  private Node row(Judgement judgement, Judged line) {
    Verdict verdict = line.verdict().orElseThrow();
    GridPane grid = grid();
    grid.getStyleClass().add("verdict-row");
    RowConstraints tall = new RowConstraints();
    tall.setValignment(VPos.CENTER);
    tall.setMinHeight(USE_PREF_SIZE);
    grid.getRowConstraints().add(tall);
    Label title = padded(Words.of("claim-title", line.title()));
    Label claim = padded(right(Words.of("claimed", line.claim().figureWords())));
    Label measured = padded(right(Words.of("measured", TrialPage.measured(verdict))));
    if (verdict.measured().isEmpty()) {
      measured.getStyleClass().setAll("label", "untested");
    }
    ClaimScaleCell seam = new ClaimScaleCell(Optional.of(verdict));
    GridPane.setFillHeight(seam, true);
    Label standing = padded(Words.of("standing", verdict.standing().words()));
    standing.getStyleClass().add(VerdictTone.of(verdict.standing()));
    grid.addRow(0, title, claim, measured, seam, standing);
    grid.setUserData(line.title());
    grid.setId(verdict.standing() == Standing.NOT_TESTED ? null : "judged");
    Row.make(
        grid, line.title() + ", " + verdict.standing().words(), () -> explain(judgement, line));
    rows.add(grid);
    return grid;
  }

  private static Label padded(Label label) {
    String before = label.getStyle() == null ? "" : label.getStyle();
    label.setStyle(before + "-fx-padding: 0.34em 0;");
    return label;
  }

  private void explain(Judgement judgement, Judged line) {
    chosenTitle = line.title();
    rows.forEach(row -> Row.chosen(row, row.getUserData().equals(chosenTitle)));
    because.explain(judgement, line);
  }
}
