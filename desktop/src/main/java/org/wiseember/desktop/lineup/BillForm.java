package org.wiseember.desktop.lineup;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.cost.Bills;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.typed.TypedFigure;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.look.Field;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.LineUpWork;

/** The grid's bill before and after, month by month. */
final class BillForm extends VBox {
  private final LineUpWork work;
  private final Runnable showSide;
  private final BecausePanel because;
  private final TextArea months =
      Field.lines("bill-months", "Months of the bill, a line each", "", 4);
  private final TextField share = Field.of("bill-share", "follows the weather, %", "", 4);
  private final Label trouble = Words.of("care", "");
  private final VBox found = new VBox(4);

  BillForm(LineUpWork work, BecausePanel because, Runnable showSide) {
    this.work = work;
    this.because = because;
    this.showSide = showSide;
    setSpacing(8);
    months.setPromptText("May 310 190");
    share.setPromptText("ask");
    var keep = Words.button("action", "Keep the bill", this::keep);
    keep.setId("bill-keep");
    Words.shown(trouble, false);
    getChildren()
        .addAll(
            Words.of("heading", "The grid's bill"),
            Words.of(
                "quiet",
                "A line a month: its name, kWh a year before, kWh this year; where you know them, the"
                    + " degree days of both. An air conditioner or a mild winter saves as well, so say"
                    + " which share follows the weather."),
            months,
            new HBox(14, Field.named(share), keep),
            trouble,
            found);
  }

  void show() {
    Bills bills = work.notes().bills();
    if (!months.isFocused()) {
      months.setText(bills.months().stream().map(BillForm::line).collect(Collectors.joining("\n")));
      share.setText(
          Double.isNaN(bills.weatherShare()) ? "" : Figures.plain(100 * bills.weatherShare()));
    }
    found.getChildren().clear();
    bills
        .saved()
        .ifPresent(
            saved -> {
              found.getChildren().add(figure(saved));
              for (Warning w : bills.warnings()) {
                found.getChildren().add(Words.of("notice-text", w.message()));
              }
            });
  }

  private VBox figure(Figure saved) {
    VBox one = new VBox(Words.line("quiet", saved.name()), Words.line("measured", saved.words()));
    one.getStyleClass().addAll("opens", "head-figure");
    one.setId("bill-saved");
    Row.make(
        one,
        saved.name() + " " + saved.words(),
        () -> {
          because.explain(Explanation.of(saved));
          showSide.run();
        });
    return one;
  }

  private static String line(Bills.Month m) {
    return m.name()
        + " "
        + plain(m.before())
        + " "
        + plain(m.after())
        + (Double.isNaN(m.degreesBefore())
            ? ""
            : " " + plain(m.degreesBefore()) + " " + plain(m.degreesAfter()));
  }

  private static String plain(double value) {
    return Figures.plain(value).replace(String.valueOf(Figures.THIN_SPACE), "");
  }

  /**
   * {@code May 310 190 20 34}: words, then two figures or four.
   *
   * @throws IllegalArgumentException with a sentence
   */
  static Bills.Month month(String line) {
    List<String> words = Arrays.asList(line.strip().split("\\s+"));
    int first = words.size();
    while (first > 0 && words.get(first - 1).matches("\\d[\\d.,']*")) {
      first--;
    }
    List<Double> figures =
        words.subList(first, words.size()).stream()
            .map(w -> TypedFigure.read(line.strip(), w, "kWh", 0, 1e9).orElseThrow())
            .toList();
    String name = String.join(" ", words.subList(0, first));
    if (figures.size() == 3 || figures.size() == 5) {
      // The first of them belongs to the name: "May 2025 310 190".
      name = (name + " " + words.get(first)).strip();
      figures = figures.subList(1, figures.size());
    }
    if (figures.size() != 2 && figures.size() != 4) {
      throw new IllegalArgumentException(
          "“" + line.strip() + "” wants the kWh of both years, as: May 310 190.");
    }
    return figures.size() == 2
        ? new Bills.Month(name, figures.get(0), figures.get(1))
        : new Bills.Month(name, figures.get(0), figures.get(1), figures.get(2), figures.get(3));
  }

  private void keep() {
    try {
      List<Bills.Month> all = new ArrayList<>();
      months.getText().lines().filter(l -> !l.isBlank()).limit(60).forEach(l -> all.add(month(l)));
      var typed = Field.number(share, 0, 100);
      Bills next = new Bills(all, typed.isPresent() ? typed.getAsDouble() / 100 : Double.NaN);
      Words.shown(trouble, false);
      work.note(work.notes().billed(next), "The bill changed");
    } catch (IllegalArgumentException e) {
      trouble.setText(e.getMessage());
      Words.shown(trouble, true);
    }
  }
}
