package org.wiseember.core.runtime;

import java.util.List;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.FeedFlow;

/**
 * What a feed does at the start of a plan, and whether it bears it.
 *
 * @param flow at the start
 * @param passesThrough whether it hands the source to the loads
 * @param sourceLoad what the mains or a generator are asked for, VA; NaN without either
 * @param stalls whether that, or a start, is more than they give
 */
public record FeedReport(FeedFlow flow, boolean passesThrough, double sourceLoad, boolean stalls) {
  public static FeedReport of(Feed.Root root, Agenda agenda) {
    FeedFlow flow = FeedFlow.of(root, 0, FeedFlow.batteries(root), Double.POSITIVE_INFINITY);
    List<Feed.Alternating> sources = root.alternating();
    if (sources.isEmpty()) {
      return new FeedReport(flow, root instanceof Feed.PassThrough, Double.NaN, false);
    }
    double most = sources.stream().mapToDouble(Feed.Alternating::va).sum();
    if (root instanceof Feed.PassThrough) {
      HardestMoments asked =
          HardestMoments.of(agenda, most, most, h -> sources.stream().anyMatch(s -> s.isOn(h)));
      return new FeedReport(flow, true, asked.mostRunning(), asked.first().isPresent());
    }
    double load = sources.stream().mapToDouble(flow::asked).sum();
    boolean stalls = sources.stream().anyMatch(s -> flow.asked(s) > s.va() * (1 + 1e-9));
    return new FeedReport(flow, false, load, stalls);
  }
}
