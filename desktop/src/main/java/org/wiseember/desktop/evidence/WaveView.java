package org.wiseember.desktop.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.waveform.LimitCheck;
import org.wiseember.core.waveform.LimitSet;
import org.wiseember.core.waveform.Suitability;
import org.wiseember.core.waveform.WaveformFinding;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.finding.FigureTable;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.desktop.look.Choices;
import org.wiseember.desktop.look.MiniWave;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.Shelf;
import org.wiseember.trial.wave.CapturedWaves;
import org.wiseember.trial.wave.Wave;
import org.wiseember.trial.wave.WavePictures;
import org.wiseember.trial.wave.WavePictures.ByLoad;
import org.wiseember.trial.wave.WaveTable;
import org.wiseember.workbook.TestedUnit;

/**
 * A unit's wave at several loads: small pictures to choose from, the chosen one at large with its
 * harmonics, all figures side by side, and what the wave is fit for.
 */
final class WaveView extends VBox {
  private static final int SMALL_POINTS = 120;

  /** More units than this make no choice any more. */
  private static final int MOST_OTHERS = 5;

  /** Caps that are drawn over the harmonics. */
  private enum Caps {
    NONE("none", null),
    EN_50160("EN 50160", LimitSet.EN_50160),
    IEEE_519("IEEE 519", LimitSet.IEEE_519);

    private final String words;
    private final LimitSet set;

    Caps(String words, LimitSet set) {
      this.words = words;
      this.set = set;
    }
  }

  private final Session session;
  private final WaveZoom large;
  private final ChartPane harmonics = new ChartPane("Harmonics in percent of the fundamental");
  private final ChartPane byLoad = new ChartPane("A figure against load");
  private final ObjectProperty<ByLoad> against = new SimpleObjectProperty<>(ByLoad.DISTORTION);
  private final FlowPane againstRow;
  private final Label limits = Words.of("notice-text", "");
  private final ObjectProperty<Caps> caps = new SimpleObjectProperty<>(Caps.EN_50160);
  private final ObjectProperty<Integer> beside = new SimpleObjectProperty<>(-1);
  private final FlowPane cards = new FlowPane(8, 8);
  private final VBox besideRow = new VBox();
  private final VBox table = new VBox();
  private final VBox meaning = new VBox();
  private final CaptureActions actions;
  private List<Beside> others = List.of();
  private CapturedWaves run;
  private Judgement judgement;
  private BecausePanel because;
  private Wave wave;

  WaveView(Session session) {
    this.session = session;
    large = new WaveZoom(session);
    actions = new CaptureActions(session);
    setSpacing(10);
    harmonics.setMinHeight(210);
    harmonics.setPrefHeight(230);
    byLoad.setMinHeight(200);
    byLoad.setPrefHeight(200);
    table.getStyleClass().add("sheet");
    meaning.getStyleClass().add("sheet");
    Map<Caps, String> words = new LinkedHashMap<>();
    for (Caps c : Caps.values()) {
      words.put(c, c.words);
    }
    Map<ByLoad, String> figures = new LinkedHashMap<>();
    for (ByLoad b : ByLoad.values()) {
      figures.put(b, b.words());
    }
    againstRow = Choices.row("Against load", "against-", figures, against);
    against.addListener((o, was, is) -> drawByLoad());
    getChildren()
        .addAll(
            cards,
            large,
            besideRow,
            Choices.row("Caps", "caps-", words, caps),
            harmonics,
            limits,
            table,
            againstRow,
            byLoad,
            meaning,
            actions);
    caps.addListener((o, was, is) -> drawHarmonics());
    beside.addListener((o, was, is) -> besideChosen());
    session.look().whenLookChanges(this::draw);
  }

  /**
   * Shows a run.
   *
   * @param panel explains the distortion of whatever wave is chosen
   */
  void of(Judgement shownUnit, CapturedWaves shown, BecausePanel panel) {
    because = panel;
    boolean same = run != null && run.run().id() == shown.run().id();
    String before = same && wave != null ? wave.kept().words() : "";
    judgement = shownUnit;
    run = shown;
    wave =
        run.waves().stream()
            .filter(w -> w.finding().isPresent() && w.kept().words().equals(before))
            .findFirst()
            .or(run::worst)
            .or(() -> run.waves().stream().filter(w -> w.finding().isPresent()).findFirst())
            .orElse(null);
    actions.of(run, wave);
    for (Node part : getChildren()) {
      Words.shown(part, wave != null || part == actions || part == cards);
    }
    showCards();
    if (wave == null) {
      return;
    }
    showOthers(same);
    show();
  }

  /** A card a capture: its cycle, what it was captured at, its distortion. */
  private void showCards() {
    cards.getChildren().clear();
    for (Wave w : run.waves()) {
      MiniWave small = new MiniWave(WavePictures.small(w, SMALL_POINTS));
      small.setMinSize(86, 42);
      small.setPrefSize(86, 42);
      HBox words =
          new HBox(
              Words.line("quiet", w.kept().words()),
              Words.spring(),
              Words.line(
                  "measured",
                  w.finding()
                      .map(f -> Figures.fixed(f.thdF().value(), 1) + " %")
                      .orElse("no figure")));
      words.setSpacing(6);
      VBox card = new VBox(small, words);
      card.setSpacing(4);
      card.getStyleClass().addAll("row", "wave-card");
      card.setId("wave-" + w.kept().words().replaceAll("[^A-Za-z0-9]", ""));
      Row.chosen(card, w.equals(wave));
      Row.make(
          card,
          w.kept().words(),
          () -> {
            if (w.finding().isPresent()) {
              wave = w;
              mark(card);
              show();
            } else {
              session.open().say(w.kept().words() + ": " + w.trouble());
            }
          });
      cards.getChildren().add(card);
    }
  }

  private void mark(Node chosen) {
    cards.getChildren().forEach(c -> Row.chosen(c, c == chosen));
  }

  /** What may lie beside it: other captures of the run, and waves of units of a like rating. */
  private void showOthers(boolean keep) {
    List<Beside> found = new ArrayList<>();
    Map<Integer, String> words = new LinkedHashMap<>();
    words.put(-1, "nothing");
    for (Wave w : run.waves()) {
      if (w.finding().isPresent() && (w.mains() || w.watts() == 0)) {
        words.put(found.size(), w.mains() ? "the mains" : w.kept().words());
        found.add(new Beside(Optional.of(w), judgement.unit()));
      }
    }
    for (TestedUnit other : likeUnits()) {
      words.put(found.size(), other.name() + " at half load");
      found.add(new Beside(Optional.empty(), other));
    }
    others = found;
    if (!keep || beside.get() >= found.size()) {
      beside.set(-1);
    }
    besideRow.getChildren().setAll(Choices.row("Beside it", "beside-", words, beside));
  }

  /**
   * What may lie beside the wave.
   *
   * @param wave empty while it is in the workbook
   */
  private record Beside(Optional<Wave> wave, TestedUnit unit) {}

  /** Other units whose wave was captured, those of the likest rating first. */
  private List<TestedUnit> likeUnits() {
    double rated = 2 * half(judgement.unit());
    return session.shelf().places().stream()
        .filter(p -> p.unit().id() != judgement.unit().id())
        .filter(
            p ->
                p.summary().stream()
                    .flatMap(s -> s.runs().stream())
                    .anyMatch(r -> r.kind().equals(WaveSteps.KIND)))
        .sorted(Comparator.comparingDouble(p -> Math.abs(p.rating().watts().orElse(0.0) - rated)))
        .limit(MOST_OTHERS)
        .map(Shelf.Place::unit)
        .toList();
  }

  private static double half(TestedUnit unit) {
    return unit.label().ratedWatts().orElse(0.0) / 2;
  }

  private Optional<Wave> compared() {
    int i = beside.get();
    return i < 0 || i >= others.size()
        ? Optional.empty()
        : others.get(i).wave().filter(w -> !w.equals(wave));
  }

  /** Shows what was chosen to lie beside it, once it is read. */
  private void besideChosen() {
    int i = beside.get();
    if (i >= 0 && i < others.size() && others.get(i).wave().isEmpty()) {
      List<Beside> asked = others;
      TestedUnit unit = asked.get(i).unit();
      session
          .shelf()
          .judged(
              unit.id(),
              found -> {
                if (others == asked) {
                  asked.set(i, new Beside(waveOf(found), unit));
                  showBeside();
                }
              });
    }
    showBeside();
  }

  private static Optional<Wave> waveOf(Judgement unit) {
    return unit.newest(CapturedWaves.class).flatMap(r -> r.at(half(unit.unit())));
  }

  private void showBeside() {
    if (wave != null) {
      large.of(wave, compared());
      showTable();
    }
  }

  private void show() {
    actions.of(run, wave);
    WaveformFinding f = wave.finding().orElseThrow();
    because.explain(run, Explanation.of(wave.figures().distortion()));
    large.of(wave, compared());
    showTable();
    showMeaning(f);
    draw();
  }

  private void draw() {
    if (wave == null) {
      return;
    }
    large.draw();
    drawHarmonics();
    drawByLoad();
  }

  private void drawByLoad() {
    boolean several = wave != null && run.sweep().points().size() > 1;
    Words.shown(byLoad, several);
    Words.shown(againstRow, several);
    if (several) {
      byLoad.show(
          () ->
              session
                  .look()
                  .drawn(WavePictures.againstLoad(run, judgement.label(), against.get())));
    }
  }

  private void drawHarmonics() {
    if (wave == null) {
      return;
    }
    WaveformFinding f = wave.finding().orElseThrow();
    Optional<LimitSet> set = Optional.ofNullable(caps.get().set);
    harmonics.show(() -> session.look().drawn(WavePictures.harmonics(f, set)));
    Words.shown(limits, set.isPresent());
    limits.setText(
        set.map(
                s ->
                    LimitCheck.of(f, s).words()
                        + " They are caps of a public supply, lines to compare with and no law for a"
                        + " unit that stands alone.")
            .orElse(""));
  }

  /** Every capture a row, and what else the chosen one says. */
  private void showTable() {
    List<List<String>> rows = WaveTable.rows(run);
    compared()
        .filter(w -> !run.waves().contains(w))
        .flatMap(Wave::finding)
        .ifPresent(f -> rows.add(WaveTable.row("beside it", f)));
    table.getChildren().setAll(new FigureTable(WaveTable.HEADS, rows));
    WaveTable.words(run, wave).forEach(s -> table.getChildren().add(Words.of("notice-text", s)));
  }

  private void showMeaning(WaveformFinding f) {
    meaning.getChildren().setAll(Words.of("heading", "What it means, " + wave.where()));
    for (Suitability s : Suitability.of(f, run.nominalVolts())) {
      Label kind = Words.of("figure", s.kind().words());
      kind.setMinWidth(0);
      kind.setPrefWidth(230);
      Label fit = Words.line("strong", s.fit().words());
      fit.getStyleClass().add(tone(s.fit()));
      HBox said = new HBox(fit);
      said.getStyleClass().add("meaning-row");
      said.setMinWidth(110);
      said.setPrefWidth(110);
      Label reason = Words.of("notice-text", s.reason());
      HBox.setHgrow(reason, javafx.scene.layout.Priority.ALWAYS);
      HBox row = new HBox(kind, said, reason);
      row.setSpacing(12);
      row.getStyleClass().add("meaning-row");
      meaning.getChildren().add(row);
    }
    meaning
        .getChildren()
        .add(
            Words.of(
                "quiet",
                "Common practice, no published source. What is wired or opened stays with licensed"
                    + " people and local code."));
  }

  private static String tone(Suitability.Fit fit) {
    return switch (fit) {
      case FIT -> "kept";
      case CARE -> "close";
      case UNFIT -> "short-of";
      case ASK -> "quiet-tone";
    };
  }
}
