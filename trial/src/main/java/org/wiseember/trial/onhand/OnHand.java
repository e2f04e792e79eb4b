package org.wiseember.trial.onhand;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a tester has to test with: loads, and what was answered to whatever a test asks for beside
 * them, such as the motor that is to be started.
 *
 * @param loads watts on the plates of heaters and lamps
 * @param answers by the key of what was asked
 */
public record OnHand(List<Double> loads, Map<String, Object> answers) {
  public OnHand {
    loads = List.copyOf(loads);
    answers = Map.copyOf(answers);
  }

  /** These loads and nothing else. */
  public static OnHand of(List<Double> loads) {
    return new OnHand(loads, Map.of());
  }

  /** The same with other loads. */
  public OnHand loaded(List<Double> others) {
    return new OnHand(others, answers);
  }

  /** The same with something answered, in place of what was answered before. */
  public <T> OnHand with(Ask<T> ask, T answer) {
    Map<String, Object> more = new LinkedHashMap<>(answers);
    more.put(ask.key(), answer);
    return new OnHand(loads, more);
  }

  /** What was answered, or the usual. */
  public <T> T answer(Ask<T> ask) {
    return ask.taken(answers.get(ask.key()));
  }
}
