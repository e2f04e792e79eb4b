package org.wiseember.desktop.model;

import java.util.function.BiConsumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.wiseember.workbook.Workbook;

/**
 * Something of the workbook that is edited as a whole: on show at once, saved behind, and undone to
 * what it was.
 */
final class Edited<T> {
  private final OpenWorkbook open;
  private final ReadOnlyObjectWrapper<T> value;
  private final BiConsumer<Workbook, T> save;

  /**
   * One that nothing was read of yet.
   *
   * @param usual until a workbook says otherwise
   * @param save keeps it, on the workbook's thread
   */
  Edited(OpenWorkbook open, T usual, BiConsumer<Workbook, T> save) {
    this.open = open;
    this.value = new ReadOnlyObjectWrapper<>(usual);
    this.save = save;
  }

  /** As it is now. */
  ReadOnlyObjectProperty<T> value() {
    return value.getReadOnlyProperty();
  }

  T get() {
    return value.get();
  }

  /** Shows what a workbook has. */
  void show(T read) {
    value.set(read);
  }

  /**
   * Puts another in its place.
   *
   * @param what undoing it will say
   */
  void change(T next, String what) {
    T before = value.get();
    if (next.equals(before) || open.refuseWhenReadOnly()) {
      return;
    }
    open.edits().did(what, () -> keep(before));
    keep(next);
  }

  private void keep(T next) {
    value.set(next);
    open.background(
        () -> {
          save.accept(open.workbook().orElseThrow(), next);
          return next;
        },
        saved -> {});
  }
}
