package org.wiseember.command;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.verdict.SeamPosition;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.verdict.Judged;

/** Judged claims, as text for people and as one JSON object for scripts. */
final class JudgedLines {
  private static final String FACT = "The label states it; no test of a unit tells it.";

  private final List<Judged> lines;
  private final List<Warning> warnings;

  JudgedLines(List<Judged> lines, List<Warning> warnings) {
    this.lines = lines;
    this.warnings = warnings.stream().distinct().toList();
  }

  /** How a line stands, for scripts. */
  private static String word(Judged line) {
    return line.verdict()
        .map(
            v ->
                switch (v.standing()) {
                  case KEPT -> "kept";
                  case SHORT -> "short";
                  case TOO_CLOSE -> "too-close";
                  case RIG_CANNOT_SHOW -> "rig-cannot-show";
                  case NOT_TESTED -> "not-tested";
                })
        .orElse("stated");
  }

  String json() throws JsonProcessingException {
    ObjectMapper mapper = new ObjectMapper();
    ObjectNode root = mapper.createObjectNode();
    ArrayNode claims = root.putArray("claims");
    lines.forEach(line -> claim(claims.addObject(), line));
    ArrayNode warned = root.putArray("warnings");
    for (Warning w : warnings) {
      warned.addObject().put("code", w.code()).put("message", w.message());
    }
    return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(root)
        + System.lineSeparator();
  }

  private static void claim(ObjectNode node, Judged line) {
    Claim claim = line.claim();
    boolean stated = claim.direction() == Direction.STATED;
    node.put("subject", claim.subject().name().toLowerCase(Locale.ROOT).replace('_', '-'));
    node.put("printed", claim.printedAs());
    number(node, "least", stated ? Double.NaN : claim.low());
    number(node, "most", stated ? Double.NaN : claim.high());
    node.put("word", claim.word().isEmpty() ? null : claim.word());
    number(node, "stated", stated ? claim.low() : Double.NaN);
    OptionalDouble load = claim.condition(Condition.Kind.AT_LOAD);
    number(node, "load", load.orElse(Double.NaN));
    Optional<Figure> figure = line.figure();
    // A claim that is a word has no unit; the figure it was told by has.
    node.put("unit", Results.symbol(figure.map(Figure::unit).orElse(claim.unit())));
    node.put("verdict", word(line));
    node.put("bound", figure.map(f -> f.bound().key()).orElse(null));
    number(node, "value", figure.map(Figure::value).orElse(Double.NaN));
    number(node, "u95", figure.map(Figure::u95).orElse(Double.NaN));
    number(
        node,
        "position",
        line.verdict().flatMap(Verdict::seam).map(SeamPosition::percent).orElse(Double.NaN));
    node.put("why", line.verdict().map(Verdict::reason).orElse(FACT));
    if (figure.isEmpty()) {
      node.putNull("because");
    } else {
      because(node.putObject("because"), figure.get());
    }
  }

  private static void because(ObjectNode node, Figure figure) {
    node.put("name", figure.name());
    node.put("value", figure.value());
    node.put("unit", Results.symbol(figure.unit()));
    node.put("u95", figure.u95());
    figure.because().workedOut().forEach(node.putArray("worked")::add);
    ArrayNode budget = node.putArray("budget");
    for (Contribution c : figure.budget().contributions()) {
      if (c.standard() != 0) {
        budget.addObject().put("what", c.name()).put("u95", c.alone95());
      }
    }
  }

  private static void number(ObjectNode node, String key, double value) {
    if (Double.isNaN(value)) {
      node.putNull(key);
    } else {
      node.put(key, value);
    }
  }

  String text() {
    StringBuilder out = new StringBuilder();
    for (Judged line : lines) {
      String standing = line.verdict().map(v -> v.standing().words()).orElse("Stated");
      out.append(
          String.format(
              Locale.ROOT,
              "%-20s %-24s %-22s %s%n",
              standing,
              line.title(),
              line.claim().figureWords(),
              line.figure().map(Figure::words).orElse("–")));
      line.verdict()
          .filter(v -> v.standing() != Standing.NOT_TESTED)
          .ifPresent(v -> out.append("    ").append(v.reason()).append(System.lineSeparator()));
    }
    for (Warning w : warnings) {
      out.append("note: ").append(w.message()).append(System.lineSeparator());
    }
    return out.toString().replace(Figures.THIN_SPACE, '\u00a0');
  }
}
