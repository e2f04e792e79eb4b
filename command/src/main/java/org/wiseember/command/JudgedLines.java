package org.wiseember.command;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Locale;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.publish.PublishedJson;
import org.wiseember.trial.verdict.Judged;

/** Judged claims, as text for people and as one JSON object for scripts. */
final class JudgedLines {
  private final List<Judged> lines;
  private final List<Warning> warnings;

  JudgedLines(List<Judged> lines, List<Warning> warnings) {
    this.lines = lines;
    this.warnings = warnings.stream().distinct().toList();
  }

  String json() throws JsonProcessingException {
    ObjectMapper mapper = new ObjectMapper();
    ObjectNode root = PublishedJson.claims(lines);
    ArrayNode warned = root.putArray("warnings");
    for (Warning w : warnings) {
      warned.addObject().put("code", w.code()).put("message", w.message());
    }
    return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(root)
        + System.lineSeparator();
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
