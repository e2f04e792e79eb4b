package org.wiseember.trial.live;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.trace.Channel;
import org.wiseember.workbook.StoredReading;

/**
 * What a person has said and read so far in a test by hand.
 *
 * @param pressed in order of time
 * @param typed in order of time
 * @param now s on the run's clock
 */
public record HandRecord(List<TimedOperatorEvent> pressed, List<StoredReading> typed, double now) {
  public HandRecord {
    pressed = List.copyOf(pressed);
    typed = List.copyOf(typed);
  }

  /** The newest reading of a channel; empty for not read. */
  public Optional<StoredReading> last(Channel channel) {
    return last(channel, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
  }

  /** The newest reading of a channel between two moments; empty for not read. */
  public Optional<StoredReading> last(Channel channel, double from, double to) {
    return typed.stream()
        .filter(r -> r.channel() == channel && r.seconds() >= from && r.seconds() <= to)
        .reduce((a, b) -> b);
  }

  /** How often any of these was said. */
  public int count(OperatorEvent... any) {
    return (int) pressed.stream().filter(p -> p.is(any)).count();
  }

  /** Every time this was said, in order. */
  public List<TimedOperatorEvent> every(OperatorEvent press) {
    return pressed.stream().filter(p -> p.is(press)).toList();
  }
}
