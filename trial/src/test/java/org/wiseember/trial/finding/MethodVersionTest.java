package org.wiseember.trial.finding;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.trial.AllTests;
import org.wiseember.workbook.Run;

/** The version of the arithmetic follows its compiled classes, and nobody has to count it up. */
public class MethodVersionTest {
  private Path classes;

  @BeforeMethod
  public void someClasses() throws IOException {
    classes = Files.createTempDirectory("ember-classes");
    Files.createDirectories(classes.resolve("a/b"));
    Files.writeString(classes.resolve("a/One.class"), "one");
    Files.writeString(classes.resolve("a/b/Two.class"), "two");
    Files.writeString(classes.resolve("a/words.txt"), "no class");
  }

  /** As compiled or as shipped, it is the same. */
  @Test
  public void aFolderAndItsArchiveAreOneVersion() throws IOException {
    Path jar = classes.resolveSibling(classes.getFileName() + ".jar");
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(jar))) {
      for (String name : List.of("a/b/Two.class", "a/One.class", "a/words.txt")) {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(Files.readAllBytes(classes.resolve(name)));
        zip.closeEntry();
      }
    }
    assertEquals(MethodVersion.sums(jar), MethodVersion.sums(classes));
    assertEquals(MethodVersion.sums(classes).size(), 2, "words are no arithmetic");
  }

  @Test
  public void aChangedAddedOrRenamedClassIsAnotherVersion() throws IOException {
    Map<String, Long> before = MethodVersion.sums(classes);
    Files.writeString(classes.resolve("a/words.txt"), "other words");
    assertEquals(MethodVersion.sums(classes), before);
    Files.writeString(classes.resolve("a/One.class"), "won");
    Map<String, Long> changed = MethodVersion.sums(classes);
    assertNotEquals(changed, before);
    Files.writeString(classes.resolve("a/Three.class"), "three");
    Map<String, Long> added = MethodVersion.sums(classes);
    assertNotEquals(added, changed);
    Files.move(classes.resolve("a/Three.class"), classes.resolve("a/Drei.class"));
    assertNotEquals(MethodVersion.sums(classes), added);
  }

  /** Formulas, procedures, the workbook and the tests of the trade are in it, each by itself. */
  @Test
  public void everyPartWithASayIsInIt() {
    String all = MethodVersion.of(MethodVersion.PARTS);
    assertEquals(all, MethodVersion.current());
    assertEquals(
        MethodVersion.of(List.of(UsableCapacity.class, Drain.class, Run.class, AllTests.class)),
        all,
        "whichever class of a part is named");
    for (Class<?> left : MethodVersion.PARTS) {
      List<Class<?>> others = new ArrayList<>(MethodVersion.PARTS);
      others.remove(left);
      assertNotEquals(MethodVersion.of(others), all, left + " has a say");
    }
    assertTrue(all.matches("[0-9a-f]{1,8}"), all);
  }
}
