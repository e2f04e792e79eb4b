package org.wiseember.desktop.model;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** What can be undone, newest first. */
final class Edits {
  private static final int MOST = 200;

  private record Edit(String words, Runnable undo) {}

  private final Deque<Edit> done = new ArrayDeque<>();

  /**
   * Remembers an edit.
   *
   * @param words what undoing it will say
   */
  void did(String words, Runnable undo) {
    done.push(new Edit(words, undo));
    if (done.size() > MOST) {
      done.removeLast();
    }
  }

  /** Undoes the newest edit and says which it was. */
  Optional<String> undo() {
    if (done.isEmpty()) {
      return Optional.empty();
    }
    Edit edit = done.pop();
    edit.undo().run();
    return Optional.of(edit.words());
  }
}
