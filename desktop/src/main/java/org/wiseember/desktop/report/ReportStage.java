package org.wiseember.desktop.report;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.ReportWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.page.Paper;
import org.wiseember.trial.publish.ReportSheets;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.ReportChoice;

/** The report about the chosen unit as it will be printed, and what else is made for others. */
public final class ReportStage extends StackPane {
  private final Session session;
  private final ReportWork work;
  private final TextField place = new TextField();
  private final ImageView picture = new ImageView();
  private final Label state = Words.of("quiet", "");
  private final ProgressBar bar = new ProgressBar(0);
  private final Button cancel;
  private final Button savePdf;
  private final VBox main;
  private final SheetList sheets;
  private final ObjectProperty<Boolean> full = new SimpleObjectProperty<>();
  private final ObjectProperty<Paper> paper = new SimpleObjectProperty<>();
  private final Label unit = Words.of("quiet", "");
  private final Node whole;
  private final TextField key = Field.of("package-key", "key file", "", 11);
  private final TextField filmStart = Field.of("film-start", "begins at", "", 12);
  private long shown = -1;

  public ReportStage(Session session) {
    this.session = session;
    this.work = session.reportWork();
    sheets = new SheetList(work);
    place.setId("page-file");
    place.setAccessibleText("Where the page is saved");
    HBox.setHgrow(place, Priority.ALWAYS);
    picture.setPreserveRatio(true);
    picture.setAccessibleText("The page as it will be printed");
    picture.setSmooth(true);
    savePdf =
        button("action-main", "save-pdf", "Save as PDF", () -> work.save(place.getText(), true));
    cancel = button("action", "cancel-report", "Stop", this::stop);
    bar.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(bar, Priority.ALWAYS);
    StackPane paperPane = new StackPane(picture);
    paperPane.setStyle("-fx-alignment: top-center;");
    main =
        new VBox(
            new VBox(Words.of("title", "Report"), unit),
            row(
                place,
                savePdf,
                button(
                    "action",
                    "save-html",
                    "Save as HTML",
                    () -> work.save(place.getText(), false))),
            state,
            row(bar, cancel),
            paperPane);
    main.getStyleClass().addAll("stage", "page");
    main.widthProperty().addListener((o, was, is) -> fit());
    whole = new Adaptive(main, side(), session.look().textScale());
    session.shelf().chosen().addListener((o, was, is) -> show());
    work.choice().addListener((o, was, is) -> show());
    work.progress().addListener((o, was, is) -> progress());
    work.made().addListener((o, was, is) -> draw());
    sceneProperty().addListener((o, was, is) -> focusSave());
    show();
    progress();
    draw();
  }

  private VBox side() {
    Map<Boolean, String> forms = new LinkedHashMap<>();
    forms.put(false, "In brief");
    forms.put(true, "In full");
    Map<Paper, String> papers = new LinkedHashMap<>();
    for (Paper p : Paper.values()) {
      papers.put(p, p.words());
    }
    full.addListener((o, was, is) -> work.choose(work.choice().get().full(is)));
    paper.addListener((o, was, is) -> work.choose(work.choice().get().on(is.key())));
    follow();
    VBox side =
        new VBox(
            8,
            Words.of("heading", "What is on it"),
            sheets,
            new FlowPane(
                6,
                6,
                button("action", "all-sheets", "All of it", () -> all(true)),
                button("action", "usual-sheets", "The usual", () -> all(false))),
            Choices.row("Tests", "report-full-", forms, full),
            Words.of(
                "quiet",
                "In brief: the newest run of each test, its first figures and chart. In full: every"
                    + " run, with sums and how sure they are."),
            Choices.row("Paper", "report-paper-", papers, paper),
            Words.of("heading", "For others"),
            Words.of(
                "because-text",
                "A package holds every reading, so that anybody can work the figures out again."
                    + " With a key file it is signed; a new key is made where there is none."),
            Field.named(key),
            new FlowPane(
                button(
                    "action",
                    "save-package",
                    "Save the package",
                    () -> work.savePackage(place.getText(), key.getText()))),
            Words.of(
                "because-text",
                "For its maker: only what fell short or was noticed, with readings and steps."),
            new FlowPane(
                button(
                    "action",
                    "save-maker",
                    "Save for its maker",
                    () -> work.saveForMaker(place.getText()))),
            Words.of(
                "because-text",
                "For a film: captions of what happened when, and a strip for each verdict."),
            Field.named(filmStart),
            new FlowPane(
                button(
                    "action",
                    "save-film",
                    "Save for a film",
                    () -> work.saveForFilm(place.getText(), filmStart.getText()))));
    side.getStyleClass().add("side");
    return side;
  }

  private void all(boolean everything) {
    Judgement judgement = session.shelf().chosen().get();
    if (judgement != null) {
      work.choose(
          work.choice()
              .get()
              .of(everything ? ReportSheets.of(judgement) : ReportChoice.USUAL.sheets()));
    }
  }

  private void follow() {
    full.set(work.choice().get().full());
    paper.set(Paper.byKey(work.choice().get().paper()).orElse(Paper.A4));
  }

  /** What one comes here for. */
  private void focusSave() {
    if (getScene() != null && getChildren().contains(whole)) {
      Focus.give(savePdf, () -> {});
    }
  }

  private void fit() {
    picture.setFitWidth(Math.min(900, Math.max(200, main.getWidth() - 60)));
  }

  private void show() {
    Judgement judgement = session.shelf().chosen().get();
    if (judgement == null || judgement.unit().label().claims().isEmpty()) {
      shown = -1;
      getChildren()
          .setAll(
              new EmptyStage(
                  judgement == null ? "Report" : judgement.unit().name(),
                  "The printed page about this unit will be here. It needs a label to hold the"
                      + " findings against.",
                  "To the label",
                  () -> session.at().stage().set(StageName.LABEL)));
      return;
    }
    if (!getChildren().equals(List.of(whole))) {
      getChildren().setAll(whole);
    }
    unit.setText(judgement.unit().name());
    follow();
    sheets.show(judgement);
    if (shown != judgement.unit().id()) {
      shown = judgement.unit().id();
      place.setText(work.proposed());
      filmStart.setText(work.filmStart());
      draw();
    }
  }

  private void progress() {
    double share = work.progress().get();
    boolean busy = share != ReportWork.IDLE;
    Words.shown(bar.getParent(), busy);
    bar.setProgress(share < 1 ? share : ProgressBar.INDETERMINATE_PROGRESS);
    if (busy) {
      state.setText(share < 1 ? "Putting the sheets together …" : "Laying out the pages …");
    }
  }

  private void stop() {
    work.cancel();
    state.setText("Stopped. What is shown is the report before.");
  }

  private void draw() {
    ReportWork.Made made = work.made().get();
    if (made == null || made.unitId() != shown) {
      picture.setImage(null);
      return;
    }
    session
        .open()
        .background(
            () -> PagePicture.of(made.pdf()),
            pages -> {
              if (made.equals(work.made().get())) {
                picture.setImage(pages.image());
                fit();
                state.setText(pages.words());
              }
            });
  }

  private static HBox row(Node... nodes) {
    HBox row = new HBox(8, nodes);
    row.setStyle("-fx-alignment: center-left;");
    return row;
  }

  private static Button button(String style, String id, String words, Runnable action) {
    Button button = Words.button(style, words, action);
    button.setId(id);
    return button;
  }
}
