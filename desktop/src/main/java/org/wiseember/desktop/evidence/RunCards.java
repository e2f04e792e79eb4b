package org.wiseember.desktop.evidence;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.wiseember.core.figure.Explanation;
import org.wiseember.desktop.look.MiniTrace;
import org.wiseember.desktop.look.Row;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.workbook.Run;

/** The runs of a unit: a row of groups, and under it a card for each run of the chosen one. */
final class RunCards extends VBox {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH).withZone(ZoneId.systemDefault());

  private final FlowPane tabs = new FlowPane();
  private final FlowPane cards = new FlowPane(8, 8);
  private final Map<RunGroup, Long> last = new EnumMap<>(RunGroup.class);
  private final Consumer<TestRun> choose;
  private final Runnable chooseTogether;
  private final Runnable chooseBeside;

  /**
   * Makes it.
   *
   * @param choose shows a run
   * @param chooseTogether shows all drains together
   * @param chooseBeside shows what is no unit
   */
  RunCards(Consumer<TestRun> choose, Runnable chooseTogether, Runnable chooseBeside) {
    this.choose = choose;
    this.chooseBeside = chooseBeside;
    this.chooseTogether = chooseTogether;
    tabs.getStyleClass().add("tabs");
    setSpacing(10);
    getChildren().addAll(tabs, cards);
  }

  /**
   * Shows the runs.
   *
   * @param shown the one that is looked at
   * @param joint whether the drains say something together
   * @param together whether that is what is looked at
   */
  void of(List<TestRun> runs, TestRun shown, boolean joint, boolean together) {
    RunGroup open = together ? RunGroup.ENERGY : RunGroup.of(shown);
    if (!together) {
      last.put(open, shown.run().id());
    }
    tabs.getChildren().clear();
    for (RunGroup group : RunGroup.values()) {
      List<TestRun> inside = group.of(runs);
      if (!inside.isEmpty()) {
        tabs.getChildren().add(tab(group, inside, group == open));
      }
    }
    tabs.getChildren().add(beside(false));
    cards.getChildren().clear();
    for (TestRun run : open.of(runs)) {
      cards.getChildren().add(card(run, !together && run.equals(shown)));
    }
    if (joint && open == RunGroup.ENERGY) {
      cards.getChildren().add(together(together));
    }
  }

  /** Shows the row of groups with what is no unit chosen, and no card of a run. */
  void besideOf(List<TestRun> runs) {
    tabs.getChildren().clear();
    for (RunGroup group : RunGroup.values()) {
      List<TestRun> inside = group.of(runs);
      if (!inside.isEmpty()) {
        tabs.getChildren().add(tab(group, inside, false));
      }
    }
    tabs.getChildren().add(beside(true));
    cards.getChildren().clear();
  }

  private Node beside(boolean open) {
    HBox tab = new HBox(Words.line("strong", "Appliances and sources"));
    tab.getStyleClass().add("tab");
    tab.setId("tab-BESIDE");
    Row.chosen(tab, open);
    Row.make(tab, "Appliances and sources, no units", chooseBeside);
    return tab;
  }

  private Node tab(RunGroup group, List<TestRun> inside, boolean open) {
    HBox tab =
        new HBox(
            Words.line("strong", group.words()),
            Words.line("quiet", String.valueOf(inside.size())));
    tab.getStyleClass().add("tab");
    tab.setId("tab-" + group);
    Row.chosen(tab, open);
    Row.make(
        tab,
        group.words() + ", " + inside.size() + (inside.size() == 1 ? " run" : " runs"),
        () ->
            choose.accept(
                inside.stream()
                    .filter(r -> Long.valueOf(r.run().id()).equals(last.get(group)))
                    .findFirst()
                    .orElse(inside.get(0))));
    return tab;
  }

  private Node card(TestRun run, boolean chosen) {
    Label name = Words.line("strong", run.run().title());
    Label day = Words.line("quiet", DAY.format(run.run().startedAt()));
    HBox top = new HBox(name, Words.spring(), day);
    top.setSpacing(14);
    HBox bottom =
        new HBox(
            Words.line(
                "measured",
                run.unreadable().isPresent()
                    ? "cannot be read"
                    : run.aside()
                        ? "set aside"
                        : run.run().state() == Run.State.DONE
                            ? run.headline().map(Explanation::answer).orElse("no figure")
                            : run.run().state().name().toLowerCase(Locale.ROOT)),
            Words.spring());
    if (run.preview().size() > 1) {
      MiniTrace mini = new MiniTrace(run.preview());
      mini.getStyleClass().add("card-trace");
      bottom.getChildren().add(mini);
    }
    VBox card = new VBox(top, bottom);
    card.getStyleClass().addAll("row", "run-card");
    card.setId("run-" + run.run().id());
    Row.chosen(card, chosen);
    Row.make(card, run.run().title(), () -> choose.accept(run));
    return card;
  }

  private Node together(boolean chosen) {
    VBox card =
        new VBox(
            Words.line("strong", "All drains together"), Words.line("quiet", "energy by load"));
    card.getStyleClass().addAll("row", "run-card");
    card.setId("together");
    Row.chosen(card, chosen);
    Row.make(card, "All drains together", chooseTogether);
    return card;
  }
}
