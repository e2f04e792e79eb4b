package org.wiseember.trial.test;

import java.util.ArrayList;
import java.util.List;

/**
 * How a test is made, for whoever makes it for the first time.
 *
 * @param how the few things to do and to look out for, in order
 * @param schools where testers differ, and what each says for itself; may be empty
 * @param written where the method is written down
 */
public record TestHelp(List<String> how, List<String> schools, String written) {
  public TestHelp {
    how = List.copyOf(how);
    schools = List.copyOf(schools);
  }

  /** What to do, a sentence or two each. */
  public static TestHelp of(String... how) {
    return new TestHelp(List.of(how), List.of(), "docs/method.md");
  }

  /** The same with one more school. */
  public TestHelp school(String words) {
    List<String> more = new ArrayList<>(schools);
    more.add(words);
    return new TestHelp(how, more, written);
  }

  /** The same with the place where the method is written, after this project's own. */
  public TestHelp after(String source) {
    return new TestHelp(how, schools, written + "; " + source);
  }
}
