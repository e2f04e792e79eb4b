package org.wiseember.trial.guide;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;

/**
 * docs/guide says what the program does. With -Dember.guide=write its pages of tests are renewed.
 */
public class GuideTest {
  private static final Path GUIDE = Path.of("..", "docs", "guide");
  private static final boolean WRITE = "write".equals(System.getProperty("ember.guide"));

  @DataProvider
  Object[][] all() {
    return AllTests.list().stream().map(t -> new Object[] {t.key(), t}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "all")
  public void everyTestHasItsPageAsItIs(String key, TestType test) throws IOException {
    Path file = GUIDE.resolve("tests").resolve(key + ".md");
    String page = TestGuide.markdown(test);
    if (WRITE) {
      Files.createDirectories(file.getParent());
      Files.writeString(file, page);
    }
    assertEquals(Files.readString(file), page, "renew it with -Dember.guide=write");
    assertTrue(page.contains("## What you need"), page);
    assertTrue(page.contains("## Step by step"), page);
    if (test.is(Trait.HAZARDOUS)) {
      assertTrue(page.contains("**Take care.**"), "what can hurt has its caution beside it");
    }
  }

  /** No page is left over from a test that is gone, and none is missing from the first page. */
  @Test
  public void pagesAndTestsAreTheSame() throws IOException {
    Set<String> keys = new HashSet<>();
    AllTests.list().forEach(t -> keys.add(t.key() + ".md"));
    try (Stream<Path> files = Files.list(GUIDE.resolve("tests"))) {
      Set<String> names = new HashSet<>();
      files.forEach(f -> names.add(f.getFileName().toString()));
      assertEquals(names, keys);
    }
    String first = Files.readString(GUIDE.resolve("README.md"));
    keys.forEach(k -> assertTrue(first.contains("(tests/" + k + ")"), k));
  }

  /** Every link leads to a page that is there. */
  @Test
  public void linksLeadSomewhere() throws IOException {
    List<Path> pages;
    try (Stream<Path> files = Files.walk(GUIDE)) {
      pages = files.filter(f -> f.toString().endsWith(".md")).toList();
    }
    assertTrue(pages.size() >= 9 + AllTests.list().size());
    int links = 0;
    for (Path page : pages) {
      Matcher link = Pattern.compile("\\]\\(([^)]+)\\)").matcher(Files.readString(page));
      while (link.find()) {
        assertTrue(
            Files.isRegularFile(page.resolveSibling(link.group(1))), page + ": " + link.group(1));
        links++;
      }
    }
    assertTrue(links > 30, "links: " + links);
  }
}
