package org.wiseember.desktop.frame;

import java.io.File;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.wiseember.desktop.bench.BenchStage;
import org.wiseember.desktop.evidence.EvidenceStage;
import org.wiseember.desktop.label.LabelStage;
import org.wiseember.desktop.lineup.LineUpStage;
import org.wiseember.desktop.log.CapturePane;
import org.wiseember.desktop.log.LogPane;
import org.wiseember.desktop.log.NotesPane;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.InUnits;
import org.wiseember.desktop.look.Look;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.desktop.plan.PlanStage;
import org.wiseember.desktop.report.ReportStage;
import org.wiseember.desktop.runtime.RunTimeStage;
import org.wiseember.desktop.verdict.VerdictStage;

/** The window: shelf on the left, path above, the chosen stage, the foot below. */
public final class MainWindow extends StackPane {
  /** Narrower than this many em, the shelf gives some of its width away. */
  private static final double WIDE_EM = 75;

  private final Session session;
  private final StackPane place = new StackPane();
  private final Map<StageName, Node> made = new EnumMap<>(StageName.class);
  private final Map<StageName, Function<Session, Node>> makers = new EnumMap<>(StageName.class);
  private final ShelfView shelf;
  private final FindBox find;
  private final SidePanel help;
  private final SidePanel units;
  private final UnitsPage unitsPage;
  private final LogPane logPane;
  private final CapturePane capturePane;
  private final NotesPane notesPane;
  private final HBox said = new HBox();

  public MainWindow(Session session) {
    this.session = session;
    InUnits.follow(session.look().units());
    makers.put(StageName.LABEL, LabelStage::new);
    makers.put(StageName.BENCH, BenchStage::new);
    makers.put(StageName.EVIDENCE, EvidenceStage::new);
    makers.put(StageName.VERDICT, VerdictStage::new);
    makers.put(StageName.REPORT, ReportStage::new);
    makers.put(StageName.PLAN, PlanStage::new);
    makers.put(StageName.LINE_UP, LineUpStage::new);
    makers.put(StageName.RUN_TIME, RunTimeStage::new);

    shelf = new ShelfView(session, () -> openFind(Actions.PUT_BACK));
    buildSaid();
    find =
        new FindBox(
            session,
            new FileChoices(this::chooseFile, this::chooseCopy, this::chooseMerge, this::chooseLog),
            this::openUnits,
            this::closeFind);
    Words.shown(find, false);
    StackPane.setAlignment(find, Pos.TOP_CENTER);
    help = new SidePanel(session, "help", new HelpPage(session), "Close   F1");
    unitsPage = new UnitsPage(session);
    units = new SidePanel(session, "units", unitsPage, "Close   Esc");

    // Tab follows the order in which they are put in: unit, stage, what is on it, the foot.
    BorderPane right = new BorderPane();
    right.setTop(new VBox(new PathBar(session), new LeftOnBar(session.bench().leftOn()), said));
    right.setCenter(new StackPane(place, help, units));
    BorderPane frame = new BorderPane();
    frame.setLeft(shelf);
    frame.setCenter(right);
    frame.setBottom(new FootBar(session, this::openUnits));
    getChildren().addAll(frame, find);

    logPane = new LogPane(session);
    capturePane = new CapturePane(session);
    notesPane = new NotesPane(session);
    acceptFiles();
    session.at().stage().addListener((o, was, is) -> show());
    session.readingIn().draft().addListener((o, was, is) -> show());
    session.captures().draft().addListener((o, was, is) -> show());
    session.notes().draft().addListener((o, was, is) -> show());
    session.look().palette().addListener((o, was, is) -> applyLook());
    session.look().textScale().addListener((o, was, is) -> applyLook());
    widthProperty().addListener((o, was, is) -> sizeShelf());
    addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    Focus.guard(this);
    applyLook();
    show();
  }

  private void buildSaid() {
    Label sentence = Words.of("said-text", "");
    sentence.setId("said");
    sentence.setText(session.open().said().get());
    session.open().said().addListener((o, was, is) -> sentence.setText(is));
    said.getStyleClass().add("said");
    said.getChildren()
        .addAll(
            sentence,
            Words.spring(),
            Words.button("action", "Close", () -> session.open().said().set("")));
    Words.shown(said, !session.open().said().get().isEmpty());
    session.open().said().addListener((o, was, is) -> Words.shown(said, !is.isEmpty()));
  }

  private void applyLook() {
    Look.apply(this, session.look().palette().get(), session.look().textScale().get());
    sizeShelf();
  }

  private void sizeShelf() {
    double em = Look.BASE * session.look().textScale().get();
    double width = (getWidth() / em < WIDE_EM ? 12.8 : 16.3) * em;
    shelf.setMinWidth(width);
    shelf.setPrefWidth(width);
    shelf.setMaxWidth(width);
  }

  /** Files that are dropped on the window: logs, packages, pictures of a running test. */
  private void acceptFiles() {
    setOnDragOver(
        e -> {
          if (e.getDragboard().hasFiles()) {
            e.acceptTransferModes(TransferMode.COPY);
          }
          e.consume();
        });
    setOnDragDropped(
        e -> {
          e.getDragboard().getFiles().forEach(f -> take(f.toPath()));
          e.setDropCompleted(true);
          e.consume();
        });
  }

  private void take(Path file) {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    if (name.endsWith(".ember")) {
      session.open(file);
    } else if (name.matches(".*\\.(jpe?g|png|heic)")) {
      session.bench().photo(file);
    } else if (name.endsWith(".json")) {
      session.dayWork().take(file);
    } else {
      session.readingIn().take(file);
    }
  }

  private void chooseLog() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Import a log, a capture, a packed run or a day");
    chooser
        .getExtensionFilters()
        .addAll(
            new FileChooser.ExtensionFilter(
                "Logs, captures, packed runs, days",
                "*.csv",
                "*.txt",
                "*.tsv",
                "*.cfg",
                "*.cff",
                "*.dat",
                "*.zip",
                "*.json"),
            new FileChooser.ExtensionFilter("All files", "*"));
    File file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      take(file.toPath());
    }
  }

  private void show() {
    if (session.captures().draft().get() != null) {
      place.getChildren().setAll(capturePane);
      return;
    }
    if (session.readingIn().draft().get() != null) {
      place.getChildren().setAll(logPane);
      return;
    }
    StageName stage = session.at().stage().get();
    if (stage == StageName.BENCH && session.notes().draft().get() != null) {
      place.getChildren().setAll(notesPane);
      return;
    }
    Node view = made.computeIfAbsent(stage, s -> makers.get(s).apply(session));
    place.getChildren().setAll(view);
  }

  private void openFind(String words) {
    Words.shown(find, true);
    find.begin(words);
  }

  private void chooseCopy() {
    FileChooser chooser = new FileChooser();
    chooser.setTitle("Save a copy of the workbook");
    session
        .open()
        .workbook()
        .ifPresent(
            w -> {
              chooser.setInitialDirectory(w.file().toAbsolutePath().getParent().toFile());
              chooser.setInitialFileName("Copy of " + w.file().getFileName());
            });
    File file = chooser.showSaveDialog(getScene().getWindow());
    if (file != null) {
      session.open().saveCopy(file.toPath());
    }
  }

  /** One of the two at a time lies beside the work. */
  private void openHelp(boolean open) {
    units.open(false);
    help.open(open);
  }

  private void openUnits() {
    help.open(false);
    units.open(!units.isOpen());
    if (units.isOpen()) {
      unitsPage.takeFocus();
    }
  }

  private void closeFind() {
    Words.shown(find, false);
    place.requestFocus();
  }

  private void chooseFile() {
    chooseWorkbook("Open a workbook", session::open);
  }

  private void chooseMerge() {
    chooseWorkbook("Merge a workbook into this one", session.units()::merge);
  }

  private void chooseWorkbook(String title, Consumer<Path> then) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(title);
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("Wise Ember workbooks", "*.ember"));
    File file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      then.accept(file.toPath());
    }
  }

  private void key(KeyEvent e) {
    if (e.isShortcutDown()) {
      shortcut(e);
    } else if (e.getCode() == KeyCode.F1) {
      openHelp(!help.isOpen());
      e.consume();
    } else if (e.getCode() == KeyCode.ESCAPE) {
      if (find.isVisible()) {
        closeFind();
      } else if (help.isOpen()) {
        openHelp(false);
      } else if (units.isOpen()) {
        openUnits();
      } else {
        session.open().said().set("");
      }
    }
  }

  private void shortcut(KeyEvent e) {
    boolean typing = e.getTarget() instanceof TextInputControl;
    switch (e.getCode()) {
      case N -> session.units().addUnit();
      case O -> chooseFile();
      case E -> session.notes().begin(session.bench().test().get());
      case K -> {
        openFind("");
      }
      case Z -> {
        if (typing) {
          return;
        }
        session.open().undo();
      }
      case EQUALS, PLUS, ADD -> session.look().changeText(1);
      case MINUS, SUBTRACT -> session.look().changeText(-1);
      default -> {
        String name = e.getCode().getName();
        if (name.length() != 1 || !Character.isDigit(name.charAt(0))) {
          return;
        }
        StageName.byNumber(name.charAt(0) - '0').ifPresent(session.at().stage()::set);
      }
    }
    e.consume();
  }
}
