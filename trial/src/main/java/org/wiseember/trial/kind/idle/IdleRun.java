package org.wiseember.trial.kind.idle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.idle.IdleFinding;
import org.wiseember.core.trace.Series;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.Idled;

/**
 * A unit at rest, state by state, and what it says.
 *
 * @param states in order of time, at least one
 */
public record IdleRun(StoredRun kept, List<InState> states) implements Idled {
  /**
   * One way the outputs were switched.
   *
   * @param state what was on; empty where nobody said, as in a log
   * @param from s on the trace's clock
   * @param to s on the trace's clock
   */
  public record InState(Optional<IdleState> state, double from, double to, IdleFinding finding) {
    public String words() {
      return words(state);
    }

    static String words(Optional<IdleState> state) {
      return state.map(IdleState::words).orElse("idle");
    }
  }

  public IdleRun {
    states = List.copyOf(states);
  }

  /** The state with these outputs on; a log read in has a single one, which stands for any. */
  public Optional<InState> in(IdleState state) {
    return states.stream()
        .filter(s -> s.state().equals(Optional.of(state)) && s.finding().power().isPresent())
        .findFirst();
  }

  /** The state a label's idle draw is held against: the AC output alone, else the only one. */
  public Optional<InState> forLabel() {
    return in(IdleState.AC_ON)
        .or(
            () ->
                states.size() == 1
                    ? states.stream().filter(s -> s.finding().power().isPresent()).findFirst()
                    : Optional.empty());
  }

  /** Those a label is held against first; those of other states bear the state in their keys. */
  @Override
  public List<Figure> figures() {
    List<Figure> all = new ArrayList<>();
    forLabel().ifPresent(s -> all.addAll(s.finding().figures()));
    for (InState other : states) {
      if (forLabel().filter(other::equals).isEmpty()) {
        String state = "@" + other.state().map(IdleState::key).orElse("idle");
        other.finding().figures().forEach(f -> all.add(f.as(f.key() + state, f.name())));
      }
    }
    return all;
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<Explanation> headlines =
        states.stream().flatMap(s -> s.finding().power().stream()).map(Explanation::of).toList();
    List<List<String>> rows =
        states.stream()
            .map(
                s ->
                    List.of(
                        capital(s.words()),
                        words(s.finding().power()),
                        words(s.finding().current()),
                        words(s.finding().hours()),
                        s.finding().way().map(w -> w.words()).orElse("–")))
            .toList();
    return new FindingPage(headlines, List.of())
        .table(List.of("State", "Draw", "Amps", "Until empty", "How"), rows)
        .say(SmallLoads.of(unit).stream().map(l -> "Which side to use: " + l.words()).toList());
  }

  private static String words(Optional<Figure> figure) {
    return figure.map(Figure::words).orElse("–");
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** Hours to empty tell how the energy falls at light loads; draws when which side is better. */
  @Override
  public List<Figure> offered() {
    List<Figure> offered = new ArrayList<>();
    forLabel().flatMap(s -> s.finding().hours()).ifPresent(offered::add);
    in(IdleState.AC_ON)
        .flatMap(s -> s.finding().power())
        .ifPresent(p -> offered.add(p.as("idle_ac", p.name())));
    in(IdleState.DC_ON)
        .flatMap(s -> s.finding().power())
        .ifPresent(p -> offered.add(p.as("idle_dc", p.name())));
    return offered;
  }

  @Override
  public Series watts() {
    return directWatts();
  }

  @Override
  public boolean treatable() {
    return true;
  }

  @Override
  public List<Warning> warnings() {
    return states.stream().flatMap(s -> s.finding().warnings().stream()).distinct().toList();
  }

  @Override
  public Optional<Figure> idleDraw() {
    return forLabel().flatMap(s -> s.finding().power());
  }
}
