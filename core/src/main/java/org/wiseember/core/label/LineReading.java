package org.wiseember.core.label;

import java.util.List;

/** What became of one line of the label. */
public sealed interface LineReading {
  /** The line as typed. */
  String line();

  /** The line made at least one claim. */
  record Understood(String line, List<Claim> claims) implements LineReading {
    public Understood {
      claims = List.copyOf(claims);
    }
  }

  /** Nothing in the line is a claim one could test; slogans end here. */
  record NoClaim(String line) implements LineReading {}

  /** The line is empty. */
  record Blank(String line) implements LineReading {}

  /**
   * The line claims something that cannot be.
   *
   * @param problem one sentence: what is wrong and what to do
   * @param claims what else the line said and could be kept
   */
  record Doubtful(String line, String problem, List<Claim> claims) implements LineReading {
    public Doubtful {
      claims = List.copyOf(claims);
    }
  }

  /** The claims of this line, possibly none. */
  default List<Claim> claimed() {
    if (this instanceof Understood understood) {
      return understood.claims();
    }
    if (this instanceof Doubtful doubtful) {
      return doubtful.claims();
    }
    return List.of();
  }
}
