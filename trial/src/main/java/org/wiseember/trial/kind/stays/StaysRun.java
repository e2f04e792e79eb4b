package org.wiseember.trial.kind.stays;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Explanation;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.supply.Pulls;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.UnitFindings;
import org.wiseember.trial.kind.found.StayedOn;

/**
 * What stayed on.
 *
 * @param pulls empty where nobody counted them, or where the counts do not go together
 * @param trouble why counts that were typed say nothing, one sentence; empty where they do
 * @param alive the outputs somebody looked at while it charged
 */
public record StaysRun(
    StoredRun kept, Optional<Pulls> pulls, Optional<String> trouble, Map<Channel, Alive> alive)
    implements StayedOn {
  public StaysRun {
    alive = Map.copyOf(alive);
  }

  /** How many of the outputs that were looked at were on, a count and so sure. */
  public Optional<Figure> outputsAlive() {
    if (alive.isEmpty()) {
      return Optional.empty();
    }
    double on = alive.values().stream().mapToDouble(a -> a == Alive.OFF ? 0 : 1).sum();
    List<String> sum = new ArrayList<>();
    for (Channel output : StaysTest.OUTPUTS) {
      if (alive.containsKey(output)) {
        sum.add(output.words() + ": " + alive.get(output).words());
      }
    }
    return Optional.of(
        Figure.of(
            "outputs_alive",
            "Outputs on while it charges",
            on,
            Unit.ONE,
            Because.of(Budget.of(), sum)
                .summed("of " + alive.size() + " that were looked at")
                .watching("Seen at one charge and one load; some units switch off when full.")));
  }

  @Override
  public List<Figure> figures() {
    return outputsAlive().stream().toList();
  }

  @Override
  public Optional<Explanation> headline() {
    return pulls.flatMap(p -> p.counts().stream().findFirst()).or(this::outputs);
  }

  /** The outputs as a count of those that were looked at. */
  private Optional<Explanation> outputs() {
    return outputsAlive()
        .map(
            f ->
                new Explanation(
                    f.name(),
                    Figures.plain(f.value()) + " of " + alive.size(),
                    f.unit(),
                    f.because()));
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    FindingPage page = new FindingPage(outputs().stream().toList(), List.of());
    for (Explanation count : pulls.map(Pulls::counts).orElse(List.of())) {
      page = page.headed(count);
    }
    List<List<String>> rows =
        StaysTest.OUTPUTS.stream()
            .filter(alive::containsKey)
            .map(o -> List.of(o.words(), alive.get(o).words()))
            .toList();
    return page.table(List.of("Output", "It is"), rows)
        .say(pulls.map(Pulls::ofTheGap).stream().toList());
  }

  @Override
  public List<Warning> warnings() {
    if (trouble.isPresent()) {
      return List.of(new Warning("counts_do_not_fit", trouble.get()));
    }
    return pulls.isEmpty() && alive.isEmpty()
        ? List.of(
            new Warning(
                "nothing_seen",
                "Type how often the plug was pulled and what stayed on, or which outputs were on"
                    + " while it charged."))
        : List.of();
  }
}
