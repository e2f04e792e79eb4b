package org.wiseember.core.runtime.feed;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Changes in a feed. A link is found by its way from the unit: the first of the root's sources is
 * {@code [0]}, the second of that one's is {@code [0, 1]}, the root itself is {@code []}.
 */
public final class FeedTree {
  private FeedTree() {}

  /** A link with its way. */
  public record Link(List<Integer> way, Feed feed) {
    public Link {
      way = List.copyOf(way);
    }
  }

  /** Every link, each before what feeds it. */
  public static List<Link> links(Feed.Root root) {
    List<Link> all = new ArrayList<>();
    collect(new Link(List.of(), root), all);
    return all;
  }

  private static void collect(Link link, List<Link> all) {
    all.add(link);
    for (int i = 0; i < link.feed().from().size(); i++) {
      List<Integer> way = new ArrayList<>(link.way());
      way.add(i);
      collect(new Link(way, link.feed().from().get(i)), all);
    }
  }

  /** The same with another link in a place; what feeds it goes on to feed the other. */
  public static Feed.Root replaced(Feed.Root root, List<Integer> way, Feed other) {
    return (Feed.Root) at(root, way, was -> Optional.of(from(other, was.from())));
  }

  /** The same with one more source of a link. */
  public static Feed.Root adding(Feed.Root root, List<Integer> way, Feed source) {
    return (Feed.Root)
        at(
            root,
            way,
            was -> {
              List<Feed> more = new ArrayList<>(was.from());
              more.add(source);
              return Optional.of(from(was, more));
            });
  }

  /** The same without a link and all that feeds it; empty without the root. */
  public static Optional<Feed.Root> without(Feed.Root root, List<Integer> way) {
    return way.isEmpty()
        ? Optional.empty()
        : Optional.of((Feed.Root) at(root, way, was -> Optional.empty()));
  }

  private interface Change {
    Optional<Feed> of(Feed was);
  }

  private static Feed at(Feed feed, List<Integer> way, Change change) {
    if (way.isEmpty()) {
      return change.of(feed).orElseThrow();
    }
    List<Feed> from = new ArrayList<>(feed.from());
    int next = way.get(0);
    if (way.size() == 1) {
      Optional<Feed> changed = change.of(from.get(next));
      if (changed.isPresent()) {
        from.set(next, changed.get());
      } else {
        from.remove(next);
      }
    } else {
      from.set(next, at(from.get(next), way.subList(1, way.size()), change));
    }
    return from(feed, from);
  }

  private static Feed from(Feed feed, List<Feed> sources) {
    if (feed instanceof Feed.Port p) {
      return new Feed.Port(p.leastVolts(), p.mostVolts(), p.amps(), p.watts(), sources);
    }
    if (feed instanceof Feed.PassThrough) {
      return new Feed.PassThrough(sources);
    }
    if (feed instanceof Feed.Battery b) {
      return new Feed.Battery(b.volts(), b.wattHours(), b.amps(), sources);
    }
    if (feed instanceof Feed.Charger c) {
      return new Feed.Charger(c.kind(), c.volts(), c.amps(), c.watts(), c.efficiency(), sources);
    }
    if (feed instanceof Feed.Controller c) {
      return new Feed.Controller(c.leastVolts(), c.mostVolts(), c.amps(), c.efficiency(), sources);
    }
    return feed;
  }
}
