package org.wiseember.trial.runtime;

import org.wiseember.core.figure.Explanation;

/**
 * What a day comes to, one question at a time.
 *
 * @param key of the question
 * @param words beside the answer, one or two sentences
 * @param tone how it stands
 * @param why with the question as its title and the answer as written
 */
public record DayAnswer(String key, String words, Tone tone, Explanation why) {
  /** How an answer stands. */
  public enum Tone {
    GOOD,
    BAD,
    /** Nobody can say so far. */
    OPEN,
    PLAIN
  }

  /** What is asked. */
  public String question() {
    return why.title();
  }

  /** The answer as written. */
  public String answer() {
    return why.answer();
  }
}
