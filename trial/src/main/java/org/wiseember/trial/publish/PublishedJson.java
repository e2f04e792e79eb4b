package org.wiseember.trial.publish;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.LongUnaryOperator;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Condition;
import org.wiseember.core.label.Direction;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.verdict.ClaimScalePosition;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.workbook.Instruments;

/** Figures and judged claims as JSON, for scripts and packages; see docs/formats.md. */
public final class PublishedJson {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final String FACT = "The label states it; no test of a unit tells it.";

  private PublishedJson() {}

  /** A plain ratio has the unit one, as in the SI. */
  public static String symbol(Unit unit) {
    return unit == Unit.ONE ? "1" : unit.symbol();
  }

  /** How a line stands, for scripts. */
  public static String standing(Judged line) {
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

  /** Claims as the judge command gives them. */
  public static ObjectNode claims(List<Judged> lines) {
    ObjectNode root = JSON.createObjectNode();
    ArrayNode claims = root.putArray("claims");
    lines.forEach(line -> claims.add(claim(line)));
    return root;
  }

  /** One claim. */
  static ObjectNode claim(Judged line) {
    ObjectNode node = JSON.createObjectNode();
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
    node.put("unit", symbol(figure.map(Figure::unit).orElse(claim.unit())));
    node.put("verdict", standing(line));
    node.put("bound", figure.map(f -> f.bound().key()).orElse(null));
    number(node, "value", figure.map(Figure::value).orElse(Double.NaN));
    number(node, "u95", figure.map(Figure::u95).orElse(Double.NaN));
    number(
        node,
        "position",
        line.verdict().flatMap(Verdict::seam).map(ClaimScalePosition::percent).orElse(Double.NaN));
    node.put("why", line.verdict().map(Verdict::reason).orElse(FACT));
    if (figure.isEmpty()) {
      node.putNull("because");
    } else {
      ObjectNode because = node.putObject("because");
      because.put("name", figure.get().name());
      because.put("value", figure.get().value());
      because.put("unit", symbol(figure.get().unit()));
      because.put("u95", figure.get().u95());
      sum(because, figure.get());
    }
    return node;
  }

  /** The sum and how sure it is, line by line. */
  private static void sum(ObjectNode node, Figure figure) {
    figure.because().workedOut().forEach(node.putArray("worked")::add);
    ArrayNode budget = node.putArray("budget");
    for (Contribution c : figure.budget().contributions()) {
      if (c.standard() != 0) {
        budget.addObject().put("what", c.name()).put("u95", c.alone95());
      }
    }
  }

  /**
   * All a run found.
   *
   * @param number of the run in the package
   * @param numbered turns the key of a run into its number
   */
  static ObjectNode run(TestRun run, long number, LongUnaryOperator numbered) {
    ObjectNode node = JSON.createObjectNode();
    node.put("run", number);
    node.put("kind", run.run().kind());
    node.put("title", run.run().title());
    node.put("aside", run.aside());
    ArrayNode figures = node.putArray("figures");
    run.figures().forEach(f -> figures.add(figure(f, number, numbered)));
    ArrayNode warnings = node.putArray("warnings");
    for (Warning w : run.allWarnings()) {
      warnings.addObject().put("code", w.code()).put("message", w.message());
    }
    run.unreadable().ifPresent(why -> node.put("unreadable", why));
    return node;
  }

  private static ObjectNode figure(Figure figure, long run, LongUnaryOperator numbered) {
    ObjectNode node = JSON.createObjectNode();
    node.put("key", figure.key());
    node.put("name", figure.name());
    number(node, "value", figure.value());
    node.put("unit", symbol(figure.unit()));
    number(node, "u95", figure.u95());
    node.put("bound", figure.bound().key());
    node.put("summary", figure.because().summary());
    sum(node, figure);
    ArrayNode from = node.putArray("madeFrom");
    for (Because.Source source : figure.because().madeFrom()) {
      from.addObject()
          .put("key", source.figure().key())
          .put(
              "run",
              source.runId() == Because.SAME_RUN ? run : numbered.applyAsLong(source.runId()));
    }
    figure.because().watchOut().forEach(node.putArray("watchOut")::add);
    node.put("otherReading", figure.because().otherReading());
    return node;
  }

  /** What an instrument's description calls it. */
  static String name(Instruments.Kept kept) {
    try {
      return JSON.readTree(kept.description()).path("name").asText();
    } catch (JsonProcessingException notReadable) {
      return "An instrument whose description cannot be read";
    }
  }

  static void number(ObjectNode node, String key, double value) {
    if (Double.isFinite(value)) {
      node.put(key, value);
    } else {
      node.putNull(key);
    }
  }
}
