package org.wiseember.trial.verdict;

import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.verdict.Verdict;

/**
 * One line of the verdict page.
 *
 * @param title the claim and how it was judged, {@code AC energy at 598 W}
 * @param claim what is held against it: the label's, or what it promises in another unit
 * @param verdict how it stands; empty for a plain fact nobody judges
 * @param runId the run it rests on; empty when there is none
 */
public record Judged(String title, Claim claim, Optional<Verdict> verdict, Optional<Long> runId) {
  /** The very figure that was judged, which opens its own because; empty where nothing was read. */
  public Optional<Figure> figure() {
    return verdict.flatMap(Verdict::measured);
  }
}
