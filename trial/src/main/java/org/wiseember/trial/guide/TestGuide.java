package org.wiseember.trial.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.kind.TestHelp;
import org.wiseember.trial.kind.TestSettings;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.onhand.LoadsOnHand;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.plan.KnownTimes;
import org.wiseember.trial.verdict.Judgement;

/**
 * The page of a test, as Markdown: what it answers, what it needs, how it is made, what can hurt
 * and where testers differ. The window shows it on F1; docs/guide/tests holds the same.
 */
public final class TestGuide {
  /** Steps are told for such a unit; those of one's own follow its label. */
  private static final Label STATION =
      Label.read(
          """
          Capacity 1000 Wh, LFP 51.2 V 20 Ah
          AC out 230 V 50 Hz, 1200 W, surge 2400 W, overload 1500 W 2 min
          UPS < 20 ms
          DC 12 V / 10 A, USB-C 100 W
          PV 11-60 V, 12 A, 400 W
          AC in 900 W
          """);

  private static final Map<DoNow.When, String> WHEN =
      Map.of(
          DoNow.When.BEFORE, "Before the start",
          DoNow.When.DURING, "While it runs",
          DoNow.When.AFTER, "At its end");

  private static final int MINUTES = 60;

  private TestGuide() {}

  /** The page. */
  public static String markdown(TestType test) {
    StringBuilder page = new StringBuilder("# " + test.words() + "\n\n");
    page.append(answers(test));
    Optional<TestSettings> settings =
        test.settings(STATION, OnHand.of(LoadsOnHand.watts(LoadsOnHand.USUAL)));
    settings.ifPresent(s -> needs(page, test, s));
    TestHelp help = test.declaration().help();
    list(page, "How it is made", help.how(), true);
    settings.ifPresent(s -> steps(page, s.procedure().steps()));
    list(page, "Where testers differ", help.schools(), false);
    page.append("\n## Where it is written\n\n").append(help.written()).append(".\n");
    return page.toString();
  }

  private static String answers(TestType test) {
    String claims =
        test.declaration().answers().stream()
            .sorted()
            .map(Subject::inSentence)
            .collect(Collectors.joining(", "));
    return claims.isEmpty()
        ? "No claim on a label waits for it; it tells what labels do not.\n"
        : "It answers what the label says of " + claims + ".\n";
  }

  private static void needs(StringBuilder page, TestType test, TestSettings settings) {
    Needs needs =
        settings.needs(
            KnownTimes.of(
                Judgement.untested(new org.wiseember.workbook.TestedUnit(1, "", STATION))));
    List<String> lines = new ArrayList<>();
    String things = needs.uses().stream().map(Equipment::words).collect(Collectors.joining(", "));
    lines.add(
        things.isEmpty()
            ? "Nothing beside the unit"
            : Character.toUpperCase(things.charAt(0)) + things.substring(1));
    if (needs.most() == 0 || needs.least() > 99) {
      lines.add(needs.most() == 0 ? "The unit empty" : "The unit full");
    }
    if (needs.restHours() > 0) {
      lines.add("Rested " + time(needs.restHours()));
    }
    boolean all = test.is(Trait.HAZARDOUS) || needs.attended() >= 1;
    lines.add(
        "About "
            + time(needs.hours())
            + " for a unit of 1 000 Wh and 1 200 W, "
            + (all
                ? "somebody there throughout"
                : "somebody there for the first " + time(needs.attended() * needs.hours())));
    list(page, "What you need", lines, false);
  }

  private static String time(double hours) {
    return hours < 1.5
        ? Figures.plain(Math.rint(hours * MINUTES), Unit.MINUTE)
        : Figures.plain(Math.rint(2 * hours) / 2, Unit.HOUR);
  }

  private static void steps(StringBuilder page, List<DoNow> steps) {
    page.append("\n## Step by step\n");
    for (DoNow.When when : DoNow.When.values()) {
      List<String> lines =
          steps.stream()
              .filter(s -> s.when() == when)
              .map(s -> s.text() + (s.caution().isEmpty() ? "" : " **Take care.** " + s.caution()))
              .distinct()
              .toList();
      if (!lines.isEmpty()) {
        page.append("\n### ").append(WHEN.get(when)).append("\n\n");
        lines.forEach(l -> page.append("- ").append(l).append('\n'));
      }
    }
  }

  private static void list(
      StringBuilder page, String heading, List<String> lines, boolean numbered) {
    if (!lines.isEmpty()) {
      page.append("\n## ").append(heading).append("\n\n");
      for (int i = 0; i < lines.size(); i++) {
        page.append(numbered ? (i + 1) + ". " : "- ").append(lines.get(i)).append('\n');
      }
    }
  }
}
