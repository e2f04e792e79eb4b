package org.wiseember.trial;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.label.Claim;
import org.wiseember.core.verdict.Verdict;

/**
 * One line of the verdict page.
 *
 * @param title the claim and how it was judged, {@code AC energy at 598 W}
 * @param claim what the label says
 * @param verdict how it stands; empty for a plain fact nobody judges
 * @param because how the figure came about; empty when there is none
 * @param runId the run it rests on; empty when there is none
 */
public record Judged(
    String title,
    Claim claim,
    Optional<Verdict> verdict,
    Optional<Because> because,
    Optional<Long> runId) {}
