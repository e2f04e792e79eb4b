package org.wiseember.trial.publish;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.core.figure.Explanation;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.plan.RigCard;
import org.wiseember.trial.verdict.Judgement;

/** What can hurt whoever makes these tests again, and what the figures leave out. */
final class CautionSheet {
  private CautionSheet() {}

  static Sheet of(Judgement judgement) {
    Set<String> hurt = new LinkedHashSet<>();
    for (TestRun run : judgement.runs()) {
      run.type().kept(run.run().settings()).procedure().steps().stream()
          .map(DoNow::caution)
          .filter(c -> !c.isEmpty())
          .forEach(c -> hurt.add("Take care. " + c));
    }
    hurt.add("Take care. " + RigCard.WIRING);
    Set<String> watch = new LinkedHashSet<>();
    for (TestRun run : judgement.runs()) {
      run.headline()
          .map(Explanation::because)
          .ifPresent(b -> b.watchOut().forEach(w -> watch.add(run.type().words() + ": " + w)));
    }
    List<String> said = new ArrayList<>(hurt);
    said.addAll(watch);
    return new Sheet(
        "Cautions",
        "Whoever makes these tests again, or goes by their figures.",
        new FindingPage(List.of(), List.of()).say(said));
  }
}
