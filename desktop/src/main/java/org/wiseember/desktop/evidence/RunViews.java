package org.wiseember.desktop.evidence;

import java.util.Map;
import java.util.function.Function;
import javafx.scene.Node;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.procedure.WaveSteps;
import org.wiseember.desktop.because.BecausePanel;
import org.wiseember.desktop.finding.FindingView;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.wave.CapturedWaves;

/**
 * How what a run found is looked at. Every test has its page, which is drawn as it is; the few that
 * want more of the window are named here by their keys.
 */
final class RunViews {
  /** Shows what a run found. */
  interface RunView {
    /** Shows it; the panel is told what to explain where the view knows better than the run. */
    Node of(Judgement judgement, TestRun run, BecausePanel because);
  }

  private static final Map<String, Function<Session, RunView>> SPECIAL =
      Map.of(
          WaveSteps.KIND, RunViews::waves,
          MotorStarts.KIND, RunViews::starts,
          OverloadHolds.KIND, RunViews::starts);

  private RunViews() {}

  /** The view of a test. */
  static RunView of(Session session, String key) {
    return SPECIAL.getOrDefault(key, RunViews::page).apply(session);
  }

  private static RunView page(Session session) {
    FindingView view = new FindingView(session);
    return (judgement, run, because) -> {
      view.of(run.whole(judgement));
      if (run.throughLeads() && !run.treatable()) {
        DecisionList leads = new DecisionList(session);
        leads.of(run);
        view.add(leads);
      }
      because.explain(run);
      return view;
    };
  }

  private static RunView starts(Session session) {
    RunView page = page(session);
    WillItStart willItStart = new WillItStart(session);
    return (judgement, run, because) -> {
      Node shown = page.of(judgement, run, because);
      if (shown instanceof FindingView view && judgement.startLimits().known()) {
        willItStart.of(judgement);
        view.add(willItStart);
      }
      return shown;
    };
  }

  private static RunView waves(Session session) {
    WaveView view = new WaveView(session);
    RunView page = page(session);
    return (judgement, run, because) -> {
      if (run instanceof CapturedWaves read && read.waves().isEmpty() && !read.read().isEmpty()) {
        return page.of(judgement, run, because);
      }
      because.explain(run);
      if (run instanceof CapturedWaves waves) {
        view.of(judgement, waves, because);
      }
      return view;
    };
  }
}
