package org.wiseember.trial.kind;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.hand.Press;
import org.wiseember.core.hand.Pressed;
import org.wiseember.core.trace.Channel;
import org.wiseember.workbook.KeptReading;

/**
 * What a person has said and read so far in a test by hand.
 *
 * @param pressed in order of time
 * @param typed in order of time
 * @param now s on the run's clock
 */
public record HandRecord(List<Pressed> pressed, List<KeptReading> typed, double now) {
  public HandRecord {
    pressed = List.copyOf(pressed);
    typed = List.copyOf(typed);
  }

  /** The newest reading of a channel; empty for not read. */
  public Optional<KeptReading> last(Channel channel) {
    return last(channel, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
  }

  /** The newest reading of a channel between two moments; empty for not read. */
  public Optional<KeptReading> last(Channel channel, double from, double to) {
    return typed.stream()
        .filter(r -> r.channel() == channel && r.seconds() >= from && r.seconds() <= to)
        .reduce((a, b) -> b);
  }

  /** How often any of these was said. */
  public int count(Press... any) {
    return (int) pressed.stream().filter(p -> p.is(any)).count();
  }

  /** Every time this was said, in order. */
  public List<Pressed> every(Press press) {
    return pressed.stream().filter(p -> p.is(press)).toList();
  }
}
