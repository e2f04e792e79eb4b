package org.wiseember.desktop.model;

import static org.testng.Assert.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** Undo, newest first. */
public class EditsTest {
  @Test
  public void theNewestIsUndoneFirst() {
    Edits edits = new Edits();
    List<String> undone = new ArrayList<>();
    edits.did("first", () -> undone.add("1"));
    edits.did("second", () -> undone.add("2"));
    assertEquals(edits.undo(), Optional.of("second"));
    edits.did("third", () -> undone.add("3"));
    assertEquals(edits.undo(), Optional.of("third"));
    assertEquals(edits.undo(), Optional.of("first"));
    assertEquals(edits.undo(), Optional.empty());
    assertEquals(undone, List.of("2", "3", "1"));
  }

  /** An afternoon of edits is kept, a year of them is not. */
  @Test
  public void theOldestAreForgotten() {
    Edits edits = new Edits();
    List<Integer> undone = new ArrayList<>();
    for (int i = 0; i < 250; i++) {
      int n = i;
      edits.did("edit " + i, () -> undone.add(n));
    }
    while (edits.undo().isPresent()) {
      // Each undo takes one.
    }
    assertEquals(undone.size(), 200);
    assertEquals(undone.get(0).intValue(), 249);
    assertEquals(undone.get(199).intValue(), 50);
  }
}
