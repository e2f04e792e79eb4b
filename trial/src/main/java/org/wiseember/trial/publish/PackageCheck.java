package org.wiseember.trial.publish;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import org.wiseember.workbook.disk.Scratch;
import org.wiseember.workbook.pack.SealedArchive;

/**
 * A package held against itself: every file against its hash, and every published figure against
 * what its packed readings give when they are worked out anew.
 *
 * @param unit its name
 * @param figures each that was published, or comes out now
 * @param verdicts likewise
 * @param problems of files and signature, a sentence each
 * @param signed who vouches for it
 * @param method the published figures were worked out by
 */
public record PackageCheck(
    String unit,
    List<Line> figures,
    List<Line> verdicts,
    List<String> problems,
    Optional<SealedArchive.Signed> signed,
    String method) {
  /** So far two doubles may lie apart that are the same. */
  public static final double CLOSE = 1e-9;

  /**
   * A published figure or verdict and the one that comes out now.
   *
   * @param run its number; 0 for a verdict
   * @param key of the figure; the subject of the claim
   * @param published value; empty where there was none
   * @param here value that comes out; empty where there is none
   * @param differs in what, in words; empty where it is the same
   */
  public record Line(
      long run,
      String key,
      String name,
      String unit,
      OptionalDouble published,
      OptionalDouble here,
      Optional<String> differs) {
    public boolean same() {
      return differs.isEmpty();
    }
  }

  public PackageCheck {
    figures = List.copyOf(figures);
    verdicts = List.copyOf(verdicts);
    problems = List.copyOf(problems);
  }

  /** Whether files, signature, figures and verdicts are all as they should be. */
  public boolean good() {
    return problems.isEmpty()
        && figures.stream().allMatch(Line::same)
        && verdicts.stream().allMatch(Line::same);
  }

  /** Whether this program works figures out as the one that made the package. */
  public boolean sameMethod() {
    return method.equals(Findings.method());
  }

  /**
   * Checks one.
   *
   * @throws WorkbookException in one sentence where it is no package, or its readings cannot be
   *     read
   */
  public static PackageCheck of(Path file, Clock clock) throws IOException {
    try (SealedArchive archive = SealedArchive.open(file);
        Scratch scratch = Scratch.make()) {
      UnitPackage.runs(archive);
      List<String> problems = new ArrayList<>(archive.problems());
      problems.addAll(Chain.problems(archive));
      JsonNode figures = archive.json(UnitPackage.FIGURES);
      JsonNode verdicts = archive.json(UnitPackage.VERDICTS);
      try (Workbook workbook = Workbook.open(scratch.file("unpacked.ember"), clock)) {
        TestedUnit unit = workbook.units().byId(UnitPackage.into(workbook, archive)).orElseThrow();
        Judgement judgement =
            Judgement.of(workbook, unit, verdicts.path("guardBand").asBoolean(true));
        Map<Long, Long> numbers = UnitPackage.numbers(judgement);
        return new PackageCheck(
            unit.name(),
            figures(figures, UnitPackage.figures(judgement, numbers)),
            claims(verdicts, UnitPackage.verdicts(judgement, numbers)),
            problems,
            archive.signed(),
            figures.path("method").asText());
      }
    }
  }

  private static List<Line> figures(JsonNode published, JsonNode here) {
    return lines(byKey(published), byKey(here), List.of("unit", "bound"));
  }

  /** A key may stand several times in a run; the one of the same place is meant. */
  private static Map<String, JsonNode> byKey(JsonNode root) {
    Map<String, JsonNode> all = new LinkedHashMap<>();
    Map<String, Integer> seen = new HashMap<>();
    for (JsonNode run : root.path("runs")) {
      for (JsonNode figure : run.path("figures")) {
        String key = run.path("run").asLong() + " " + figure.path("key").asText();
        all.put(key + " " + seen.merge(key, 1, Integer::sum), figure);
      }
    }
    return all;
  }

  private static List<Line> claims(JsonNode published, JsonNode here) {
    return lines(bySubject(published), bySubject(here), List.of("unit", "bound", "verdict"));
  }

  private static Map<String, JsonNode> bySubject(JsonNode root) {
    Map<String, JsonNode> all = new LinkedHashMap<>();
    Map<String, Integer> seen = new HashMap<>();
    for (JsonNode claim : root.path("claims")) {
      String key = "0 " + claim.path("subject").asText();
      all.put(key + " " + seen.merge(key, 1, Integer::sum), claim);
    }
    return all;
  }

  private static List<Line> lines(
      Map<String, JsonNode> published, Map<String, JsonNode> here, List<String> words) {
    List<Line> lines = new ArrayList<>();
    published.forEach((key, was) -> lines.add(line(key, was, here.get(key), words)));
    here.forEach(
        (key, is) -> {
          if (!published.containsKey(key)) {
            lines.add(line(key, null, is, words));
          }
        });
    return lines;
  }

  private static Line line(String key, JsonNode was, JsonNode is, List<String> words) {
    JsonNode either = was == null ? is : was;
    String[] parts = key.split(" ");
    return new Line(
        Long.parseLong(parts[0]),
        parts.length > 2 ? parts[1] : "",
        either.path(either.has("name") ? "name" : "title").asText(),
        either.path("unit").asText(),
        value(was, "value"),
        value(is, "value"),
        differs(was, is, words));
  }

  private static Optional<String> differs(JsonNode was, JsonNode is, List<String> words) {
    if (was == null) {
      return Optional.of("it was not published");
    }
    if (is == null) {
      return Optional.of("it does not come out");
    }
    for (String key : List.of("value", "u95")) {
      if (!close(value(was, key), value(is, key))) {
        return Optional.of(
            "its "
                + (key.equals("value") ? "value" : "uncertainty")
                + " comes out as "
                + (is.path(key).isNull() ? "none" : is.path(key).asText()));
      }
    }
    for (String key : words) {
      if (!was.path(key).asText().equals(is.path(key).asText())) {
        return Optional.of("its " + key + " comes out as “" + is.path(key).asText() + "”");
      }
    }
    return Optional.empty();
  }

  private static OptionalDouble value(JsonNode node, String key) {
    return node != null && node.path(key).isNumber()
        ? OptionalDouble.of(node.path(key).asDouble())
        : OptionalDouble.empty();
  }

  private static boolean close(OptionalDouble one, OptionalDouble other) {
    if (one.isEmpty() || other.isEmpty()) {
      return one.isEmpty() == other.isEmpty();
    }
    double a = one.getAsDouble();
    double b = other.getAsDouble();
    return Math.abs(a - b) <= CLOSE * Math.max(Math.abs(a), Math.abs(b));
  }
}
