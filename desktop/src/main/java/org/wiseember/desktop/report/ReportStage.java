package org.wiseember.desktop.report;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Desk;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.test.TestType;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.disk.WholeFile;

/** The page about the chosen unit as it will be printed, and the way to save it. */
public final class ReportStage extends StackPane {
  private final Desk desk;
  private final VBox main = new VBox();
  private final TextField place = new TextField();
  private final ImageView picture = new ImageView();
  private final javafx.scene.control.Label state = Words.of("quiet", "");
  private final Set<String> sheets = new TreeSet<>(Set.of(WaveSteps.KIND));
  private Made made;
  private Node savePdf;

  /** A page worked out. */
  private record Made(long unitId, Set<String> sheets, String html, byte[] pdf, Image image) {}

  public ReportStage(Desk desk) {
    this.desk = desk;
    main.getStyleClass().addAll("stage", "page");
    place.setId("page-file");
    place.setAccessibleText("Where the page is saved");
    HBox.setHgrow(place, Priority.ALWAYS);
    picture.setPreserveRatio(true);
    picture.setAccessibleText("The page as it will be printed");
    picture.setSmooth(true);
    main.widthProperty().addListener((o, was, is) -> fit());
    desk.chosen().addListener((o, was, is) -> rebuild());
    sceneProperty().addListener((o, was, is) -> focusSave());
    rebuild();
  }

  /** What one comes here for. */
  private void focusSave() {
    if (getScene() != null && savePdf != null) {
      Focus.give(savePdf, () -> {});
    }
  }

  private void fit() {
    picture.setFitWidth(Math.min(900, Math.max(200, main.getWidth() - 60)));
  }

  private void rebuild() {
    Judgement judgement = desk.chosen().get();
    if (judgement == null || judgement.unit().label().claims().isEmpty()) {
      getChildren()
          .setAll(
              new EmptyStage(
                  judgement == null ? "Report" : judgement.unit().name(),
                  "The printed page about this unit will be here. It needs a label to hold the"
                      + " findings against.",
                  "To the label",
                  () -> desk.stage().set(StageName.LABEL)));
      return;
    }
    Node head =
        new VBox(Words.of("title", "Report"), Words.of("quiet", judgement.unit().name() + ", A4."));
    savePdf = button("save-pdf", "Save as PDF", () -> save(".pdf"));
    Node save = row(place, savePdf, button("save-html", "Save as HTML", () -> save(".html")));
    Node sheets = sheetChoice(judgement);
    StackPane paper = new StackPane(picture);
    paper.setStyle("-fx-alignment: top-center;");
    main.getChildren().setAll(head, sheets, save, state, paper);
    getChildren().setAll(Adaptive.scroll(main));
    place.setText(proposed(judgement));
    make(judgement);
  }

  /** Which tests get a sheet of their own. */
  private Node sheetChoice(Judgement judgement) {
    FlowPane row = new FlowPane(14, 6, Words.line("strong", "A sheet each for"));
    for (TestType test : AllTests.list()) {
      if (judgement.runs().stream().noneMatch(r -> r.type().equals(test))) {
        continue;
      }
      CheckBox box = new CheckBox(test.words());
      box.setId("sheet-" + test.key());
      box.setMinWidth(Region.USE_PREF_SIZE);
      box.setSelected(sheets.contains(test.key()));
      box.setOnAction(
          e -> {
            if (box.isSelected()) {
              sheets.add(test.key());
            } else {
              sheets.remove(test.key());
            }
            make(judgement);
          });
      row.getChildren().add(box);
    }
    Words.shown(row, row.getChildren().size() > 1);
    return row;
  }

  private static HBox row(Node... nodes) {
    HBox row = new HBox(nodes);
    row.setSpacing(8);
    row.setStyle("-fx-alignment: center-left;");
    return row;
  }

  private Node button(String id, String words, Runnable action) {
    var button = Words.button(id.equals("save-pdf") ? "action-main" : "action", words, action);
    button.setId(id);
    return button;
  }

  private String proposed(Judgement judgement) {
    String name = judgement.unit().name().replaceAll("[^\\p{L}\\p{N} ._-]", "").strip();
    Path folder =
        desk.workbook()
            .map(w -> w.file().toAbsolutePath().getParent())
            .orElse(Path.of(System.getProperty("user.home")));
    return folder.resolve((name.isEmpty() ? "page" : name) + ".pdf").toString();
  }

  private void make(Judgement judgement) {
    state.setText("Laying out the page …");
    String title = desk.title().get();
    Set<String> wanted = Set.copyOf(sheets);
    ReaderUnits units = desk.units().get();
    desk.background(
        () -> {
          List<Event> events =
              TrialPage.mainLine(judgement)
                  .flatMap(Judged::runId)
                  .map(id -> desk.workbook().orElseThrow().runs().events(id))
                  .orElse(List.of());
          String html =
              new PageHtml(units)
                  .write(
                      TrialPage.of(
                          judgement,
                          title,
                          LocalDate.now(ZoneId.systemDefault()),
                          events,
                          TrialPage.newest(judgement, r -> wanted.contains(r.type().key()))));
          ByteArrayOutputStream pdf = new ByteArrayOutputStream();
          PagePdf.write(html, pdf);
          return new Made(
              judgement.unit().id(),
              wanted,
              html,
              pdf.toByteArray(),
              PagePicture.of(pdf.toByteArray()));
        },
        page -> {
          boolean newest = page.sheets().equals(sheets);
          if (newest
              && desk.chosen().get() != null
              && desk.chosen().get().unit().id() == page.unitId()) {
            made = page;
            picture.setImage(page.image());
            fit();
            state.setText("This is the page as it will be printed.");
          }
        });
  }

  private void save(String ending) {
    if (made == null) {
      desk.say("The page is still being laid out. Try again in a moment.");
      return;
    }
    String typed = place.getText().strip();
    String stem =
        typed.toLowerCase(Locale.ROOT).matches(".*\\.(pdf|html)")
            ? typed.substring(0, typed.lastIndexOf('.'))
            : typed;
    if (stem.isEmpty()) {
      desk.say("Type where the page should go first.");
      return;
    }
    Made page = made;
    desk.background(
        () -> {
          Path file = Path.of(stem + ending);
          try {
            WholeFile.write(
                file,
                ending.equals(".pdf") ? page.pdf() : page.html().getBytes(StandardCharsets.UTF_8));
          } catch (IOException e) {
            return file + " could not be written. Check the folder, the permissions and the space.";
          }
          return "Saved " + file + ".";
        },
        words -> {
          desk.say(words);
          state.setText(words);
        });
  }
}
