package org.wiseember.trial.kind;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Label;
import org.wiseember.core.uncertainty.Estimate;

/** What is known of a unit: its label, and what its runs found, oldest first. */
public interface UnitFindings {
  Label label();

  List<TestRun> runs();

  /** What its pack gives on the DC side, from the best that is known, Wh. */
  Optional<Estimate> usableWattHours();

  /** Its runs of one kind, oldest first. */
  default <T extends TestRun> Stream<T> of(Class<T> kind) {
    return runs().stream().filter(kind::isInstance).map(kind::cast);
  }

  /** Its newest run of one kind. */
  default <T extends TestRun> Optional<T> newest(Class<T> kind) {
    return of(kind).reduce((first, second) -> second);
  }

  /** A figure of a run that others may build on. */
  record Offered(Figure figure, long runId) {}

  /** Figures that runs offer under a key, oldest first. */
  default List<Offered> offered(String key) {
    return runs().stream()
        .flatMap(
            r ->
                r.offered().stream()
                    .filter(f -> f.key().equals(key))
                    .map(f -> new Offered(f, r.run().id())))
        .toList();
  }
}
