package org.wiseember.trial.kind;

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
}
