package org.wiseember.desktop.lineup;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.lineup.MustHave;
import org.wiseember.core.quantity.Figures;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.finding.SheetSave;
import org.wiseember.desktop.look.Adaptive;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.EmptyStage;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Focus;
import org.wiseember.desktop.look.MarkNode;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LineUpWork;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.report.drawing.ClaimScalesDrawing;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.look.UnitMark;
import org.wiseember.trial.lineup.Answered;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpDrawings;
import org.wiseember.trial.lineup.LineUpDrawings.Picture;
import org.wiseember.trial.lineup.LineUpPage;
import org.wiseember.trial.lineup.LineUpUnit;
import org.wiseember.trial.lineup.MotorOnUnits;
import org.wiseember.trial.verdict.Shelf;

/** Several units beside each other: one seam, like against like, and which one for whom. */
public final class LineUpStage extends StackPane {
  private final Session session;
  private final LineUpWork work;
  private final VBox main = new VBox();
  private final StackPane side = new StackPane();
  private final BecausePanel because;
  private final Adaptive whole;
  private final Label title = Words.of("title", "Line-up");
  private final Label load = Words.of("quiet", "");
  private final Label light = Words.of("quiet", "");
  private final FlowPane units = new FlowPane(6, 6);
  private final TextField at = Field.of("line-up-load", "energies at, W", "", 5);
  private final TextField lit = Field.of("line-up-light", "panels in, lx", "", 6);
  private final TextField left = Field.of("life-left", "left at the end of its cycles, %", "", 4);
  private final TextField daily = Field.of("life-daily", "cycles a day", "", 4);
  private final ObjectProperty<ChargeSource> source = new SimpleObjectProperty<>(ChargeSource.WALL);
  private final VBox looks = new VBox();
  private final ObjectProperty<Picture> picture = new SimpleObjectProperty<>(Picture.SEAM);
  private final ChartPane chart = new ChartPane("The units over each other, as a chart");
  private final FlowPane legend = new FlowPane(18, 6);
  private final FiguresTable gives;
  private final FiguresTable costs;
  private final WishTable wishes;
  private final TextArea list = Field.lines("must-haves", "Must-haves, a line each", "", 7);
  private final VBox jobs = new VBox(6);
  private final WeightsForm weights;
  private final BillForm bill;
  private final VBox remarks = new VBox(4);
  private final UnitForm unitForm;
  private final SheetSave save;
  private boolean pressed;
  private boolean waiting;
  private Map<Picture, Drawing> pictures = new EnumMap<>(Picture.class);
  private List<Picture> offered = List.of();

  public LineUpStage(Session session) {
    this.session = session;
    this.work = session.lineUpWork();
    main.getStyleClass().add("stage");
    because = new BecausePanel(session);
    whole = new Adaptive(main, side, session.look().textScale());
    gives = new FiguresTable("gives", LineUpPage.GIVES, this::explain, this::openUnit);
    costs = new FiguresTable("costs", LineUpPage.COSTS, this::explain, this::openUnit);
    wishes = new WishTable(this::explain, this::explain, this::explain);
    weights =
        new WeightsForm(
            work,
            why -> {
              because.explain(why);
              side.getChildren().setAll(because);
            });
    bill = new BillForm(work, because, () -> side.getChildren().setAll(because));
    unitForm = new UnitForm(work);
    save = new SheetSave(session, "line-up", "A sheet of it");
    at.setPromptText("shared");
    lit.setPromptText("shared");
    Field.whenTyped(at, this::loadTyped);
    Field.whenTyped(lit, this::lightTyped);
    picture.addListener((o, was, is) -> draw());
    session.look().whenLookChanges(this::draw);
    session.shelf().places().addListener((ListChangeListener<Shelf.Place>) change -> chooseUnits());
    work.shown().addListener((o, was, is) -> showUnlessPressed());
    addEventFilter(MouseEvent.MOUSE_PRESSED, e -> pressed = true);
    addEventFilter(MouseEvent.MOUSE_RELEASED, e -> released());
    compose();
    show();
  }

  private void compose() {
    var keep = Words.button("action", "Keep the list", this::listTyped);
    keep.setId("keep-must-haves");
    VBox words = new VBox(2, title, load, light);
    Map<ChargeSource, String> sources = new LinkedHashMap<>();
    for (ChargeSource s :
        List.of(
            ChargeSource.WALL,
            ChargeSource.SOLAR,
            ChargeSource.CAR,
            ChargeSource.BATTERY,
            ChargeSource.USB_C)) {
      sources.put(s, s.words());
    }
    source.addListener(
        (o, was, is) -> work.note(work.notes().from(is), "Source of the page changed"));
    VBox top =
        new VBox(
            8,
            words,
            units,
            new FlowPane(16, 6, Field.named(at), Field.named(lit)),
            Choices.row("Charged from", "source-", sources, source));
    VBox wishSheet = sheet(Words.of("heading", "Must-haves, and starts of the same motor"), wishes);
    VBox editor =
        new VBox(
            6,
            Words.of(
                "quiet",
                "Your own list, a line each: a limit as “at most 14 kg” or “full in 4 h”, an appliance"
                    + " as “runs the ice shaver”, or anything that is answered by looking."),
            list,
            new HBox(keep));
    wishSheet.getChildren().add(editor);
    main.getChildren()
        .setAll(
            top,
            looks,
            chart,
            legend,
            sheet(Words.of("heading", "What it gives"), gives),
            sheet(Words.of("heading", "What it costs and has"), costs, life()),
            wishSheet,
            sheet(Words.of("heading", "Which one for whom"), jobs),
            sheet(weights),
            sheet(bill),
            remarks,
            save);
  }

  /** What a life is taken to be, where a label leaves it open. */
  private Node life() {
    Field.whenTyped(left, this::lifeTyped);
    Field.whenTyped(daily, this::lifeTyped);
    return new VBox(
        6,
        new FlowPane(16, 6, Field.named(left), Field.named(daily)),
        Words.of(
            "quiet",
            "A life is the cycles of the label; its energy falls evenly to what is left at their end."
                + " A share the label prints goes before this one."));
  }

  private void lifeTyped() {
    try {
      double share = Field.number(left, 0, 100).orElse(80) / 100;
      double aDay = Field.number(daily, 0.01, 100).orElse(1);
      work.note(work.notes().living(share, aDay), "Life assumed changed");
    } catch (IllegalArgumentException e) {
      session.open().say(e.getMessage());
    }
  }

  private static VBox sheet(Node... nodes) {
    VBox sheet = new VBox(8, nodes);
    sheet.getStyleClass().add("sheet");
    return sheet;
  }

  /**
   * Leaving a field by a press on a figure changes the page while the button is down: what is
   * pressed stays until it is let go, or the click would go nowhere.
   */
  private void showUnlessPressed() {
    waiting = pressed;
    if (!pressed) {
      show();
    }
  }

  private void released() {
    pressed = false;
    if (waiting) {
      waiting = false;
      Platform.runLater(this::show);
    }
  }

  private void show() {
    LineUp lineUp = work.shown().get();
    if (lineUp == null) {
      getChildren()
          .setAll(
              new EmptyStage(
                  "Line-up",
                  "Units are laid side by side here, each against its own label and at one load for"
                      + " all, with what one really gets for the money. It begins with two units of"
                      + " which each was drained once.",
                  "To the label",
                  () -> session.at().stage().set(StageName.LABEL)));
      return;
    }
    if (!getChildren().contains(whole)) {
      getChildren().setAll(whole);
    }
    Node focused = getScene() == null ? null : getScene().getFocusOwner();
    String had = focused == null ? null : focused.getId();
    load.setText(LineUpPage.load(lineUp));
    light.setText(LineUpPage.light(lineUp));
    show(at, work.notes().load());
    show(lit, work.notes().light());
    source.set(work.notes().source());
    left.setText(Figures.plain(100 * work.notes().leftAtEnd()));
    daily.setText(Figures.plain(work.notes().cyclesADay()));
    chooseUnits();
    pictures = LineUpDrawings.of(lineUp);
    choosePicture();
    legend(lineUp);
    draw();
    gives.show(lineUp);
    costs.show(lineUp);
    wishes.show(lineUp);
    if (!list.isFocused()) {
      list.setText(String.join("\n", work.notes().mustHaves()));
    }
    jobs.getChildren()
        .setAll(
            lineUp.jobs().stream().map(j -> Words.of("notice-text", LineUpPage.job(j))).toList());
    if (lineUp.jobs().isEmpty()) {
      jobs.getChildren()
          .setAll(Words.of("quiet", "Days laid out in Run-time are the jobs; there is none yet."));
    }
    weights.show(lineUp);
    bill.show();
    List<Node> said = new ArrayList<>();
    LineUpPage.parts(lineUp).forEach(w -> said.add(Words.of("notice-text", w)));
    LineUpPage.unlike(lineUp).forEach(w -> said.add(Words.of("quiet", w)));
    remarks.getChildren().setAll(said);
    save.show("Line-up", () -> LineUpPage.sheet(lineUp), null);
    if (side.getChildren().isEmpty()) {
      lineUp.units().stream().findFirst().ifPresent(u -> explain(u, Measure.MUST_HAVES));
    }
    // What was laid out anew keeps the keyboard where it was.
    Node again = had == null ? null : lookup("#" + had);
    if (again != null && again != getScene().getFocusOwner()) {
      Focus.keep(again);
    }
  }

  /** Which units stand on the page; all of the shelf where none is chosen. */
  private void chooseUnits() {
    units.getChildren().setAll(Words.line("strong", "On the page"));
    for (Shelf.Place place : session.shelf().places()) {
      long id = place.unit().id();
      ToggleButton toggle = new ToggleButton(place.unit().name());
      toggle.getStyleClass().setAll("toggle-button", "choice");
      toggle.setId("line-up-unit-" + id);
      toggle.setMinWidth(USE_PREF_SIZE);
      toggle.setSelected(work.notes().units().isEmpty() || work.notes().units().contains(id));
      toggle.setOnAction(e -> onPage(id, toggle.isSelected()));
      Words.enterPresses(toggle);
      units.getChildren().add(toggle);
    }
  }

  private void onPage(long unit, boolean on) {
    List<Long> all = session.shelf().places().stream().map(p -> p.unit().id()).toList();
    List<Long> now = new ArrayList<>(work.notes().units().isEmpty() ? all : work.notes().units());
    now.remove(unit);
    if (on) {
      now.add(unit);
    }
    List<Long> next = all.stream().filter(now::contains).toList();
    work.note(
        work.notes().on(next.size() == all.size() ? List.of() : next), "Units on the page changed");
  }

  private void loadTyped() {
    try {
      OptionalDouble typed = Field.number(at, 1, 1e6);
      work.note(work.notes().at(typed), "Load of the page changed");
    } catch (IllegalArgumentException e) {
      session.open().say(e.getMessage());
    }
  }

  private void lightTyped() {
    try {
      OptionalDouble typed = Field.number(lit, 1, 200_000);
      work.note(work.notes().in(typed), "Light of the page changed");
    } catch (IllegalArgumentException e) {
      session.open().say(e.getMessage());
    }
  }

  private static void show(TextField field, OptionalDouble chosen) {
    if (!field.isFocused()) {
      field.setText(chosen.isPresent() ? Figures.plain(chosen.getAsDouble()) : "");
    }
  }

  private void listTyped() {
    List<String> next =
        list.getText()
            .lines()
            .map(String::strip)
            .filter(l -> !l.isEmpty())
            .map(l -> l.substring(0, Math.min(MustHave.LONGEST, l.length())))
            .limit(40)
            .toList();
    work.note(work.notes().having(next), "Must-haves changed");
  }

  private void choosePicture() {
    if (!pictures.containsKey(picture.get()) && !pictures.isEmpty()) {
      picture.set(pictures.keySet().iterator().next());
    }
    if (!List.copyOf(pictures.keySet()).equals(offered)) {
      offered = List.copyOf(pictures.keySet());
      Map<Picture, String> words = new LinkedHashMap<>();
      offered.forEach(p -> words.put(p, p.words()));
      looks.getChildren().setAll(Choices.row("Look at", "picture-", words, picture));
    }
    Words.shown(looks, pictures.size() > 1);
    Words.shown(chart, !pictures.isEmpty());
  }

  private void draw() {
    Drawing drawing = pictures.get(picture.get());
    if (drawing != null) {
      double scale = session.look().textScale().get();
      // A seam has a row a claim; curves want their height.
      double high =
          drawing instanceof ClaimScalesDrawing seam
              ? (70 + 24 * Math.max(5, seam.rows().size())) * scale
              : 380 * Math.sqrt(scale);
      chart.setMinHeight(high);
      chart.setPrefHeight(high);
      chart.show(() -> session.look().drawn(drawing));
    }
  }

  private void legend(LineUp lineUp) {
    legend.getChildren().clear();
    for (int i = 0; i < lineUp.units().size(); i++) {
      HBox one =
          new HBox(
              6, new MarkNode(new UnitMark(i)), Words.line("figure", lineUp.units().get(i).name()));
      one.setStyle("-fx-alignment: center-left;");
      legend.getChildren().add(one);
    }
  }

  private void openUnit(LineUpUnit unit) {
    unitForm.show(unit);
    side.getChildren().setAll(unitForm);
  }

  private void explain(LineUpUnit unit, Measure measure) {
    unit.figure(measure)
        .ifPresentOrElse(
            f -> because.explain(Explanation.of(f.named(unit.name() + ": " + f.name()))),
            () ->
                because
                    .getChildren()
                    .setAll(
                        Words.of("quiet", unit.name()),
                        Words.of("heading", measure.words() + " is not known"),
                        Words.of(
                            "because-text", "What would give it: " + measure.settledBy() + ".")));
    side.getChildren().setAll(because);
  }

  private void explain(MotorOnUnits motor, MotorOnUnits.OnUnit on) {
    VBox panel =
        new VBox(
            8,
            Words.of("quiet", on.unit().name()),
            Words.of("heading", "Start of " + motor.name()),
            Words.of("big", on.brief()),
            Words.of("because-text", on.because()));
    panel.getStyleClass().add("side");
    panel.setId("start-panel");
    side.getChildren().setAll(panel);
  }

  /** What an answer rests on, and a way to answer it oneself. */
  private void explain(LineUpUnit unit, Answered answered) {
    VBox panel = new VBox(8);
    panel.getStyleClass().add("side");
    panel.setId("wish-panel");
    panel
        .getChildren()
        .addAll(
            Words.of("quiet", unit.name()),
            Words.of("heading", answered.mustHave().words()),
            Words.of("big", answered.answer().words()),
            Words.of("because-text", answered.because()),
            Words.of("strong", "Answer it yourself"));
    FlowPane row = new FlowPane(6, 6);
    for (MustHave.Answer a : MustHave.Answer.values()) {
      var button =
          Words.button(
              "action",
              a == MustHave.Answer.NOT_KNOWN ? "as the program says" : a.words(),
              () ->
                  work.note(
                      work.notes().answering(unit.id(), answered.mustHave().words(), a),
                      "Answer to " + answered.mustHave().words() + " changed"));
      button.setId("answer-" + a.name().toLowerCase(Locale.ROOT));
      row.getChildren().add(button);
    }
    panel.getChildren().add(row);
    side.getChildren().setAll(panel);
  }
}
