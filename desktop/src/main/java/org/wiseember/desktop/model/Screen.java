package org.wiseember.desktop.model;

/**
 * The thread the window lives on: what is shown changes there and nowhere else. A test without a
 * window has one of its own.
 */
public interface Screen {
  /** Whether this is that thread. */
  boolean here();

  /** Does something there, after what was asked before. */
  void later(Runnable change);
}
