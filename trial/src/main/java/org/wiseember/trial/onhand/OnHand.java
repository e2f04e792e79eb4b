package org.wiseember.trial.onhand;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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

  /** Whether it is asked for, by what was answered before it. */
  public boolean asked(Ask<?> ask) {
    return !(ask instanceof Ask.Amount amount)
        || amount.only().filter(o -> !o.value().equals(answer(o.ask()))).isEmpty();
  }

  /** What is missing of it, one sentence: a number that was chosen to be given and was not. */
  public Optional<String> missing(Ask<?> ask) {
    return ask instanceof Ask.Amount amount
            && amount.only().isPresent()
            && asked(ask)
            && Double.isNaN(answer(amount))
        ? Optional.of(amount.words() + ": nothing is written there; write it, or choose otherwise.")
        : Optional.empty();
  }

  /** What was answered; empty where nobody said anything. */
  public <T> Optional<T> given(Ask<T> ask) {
    return Optional.ofNullable(answers.get(ask.key())).map(ask::taken);
  }

  /** What was answered, or the usual. */
  public <T> T answer(Ask<T> ask) {
    return ask.taken(answers.get(ask.key()));
  }
}
