package org.wiseember.bench.instrument;

/** An instrument description that cannot be used; the message is one sentence. */
public final class DescriptionUnreadable extends Exception {
  private static final long serialVersionUID = 1L;

  public DescriptionUnreadable(String message) {
    super(message);
  }
}
