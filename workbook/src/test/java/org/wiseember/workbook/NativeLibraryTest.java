package org.wiseember.workbook;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.workbook.disk.Scratch;

public class NativeLibraryTest {
  private static Path folder() throws IOException {
    return Files.createTempDirectory("ember-native");
  }

  @Test
  public void aPlaceThatForbidsProgramsIsGotRound() throws IOException {
    Path forbids = folder();
    Path lets = folder().resolve("made").resolve("when needed");
    try (Scratch scratch = NativeLibrary.in(List.of(forbids, lets), p -> !p.startsWith(forbids))) {
      assertTrue(scratch.file("").startsWith(lets));
    }
    try (var left = Files.list(forbids)) {
      assertFalse(left.findAny().isPresent(), "what was tried is taken away again");
    }
  }

  @Test
  public void wherePlacesAllForbidThemTheyAreNamed() throws IOException {
    Path one = folder();
    Path other = folder();
    String said =
        expectThrows(
                WorkbookException.class, () -> NativeLibrary.in(List.of(one, other), p -> false))
            .getMessage();
    assertEquals(
        said,
        "The database needs a folder in which programs may run; neither "
            + one
            + " nor "
            + other
            + " lets them. Set TMPDIR to one that does. No workbook was touched.");
  }
}
