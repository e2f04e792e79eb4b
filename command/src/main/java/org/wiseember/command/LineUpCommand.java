package org.wiseember.command;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.lineup.Measure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.trial.lineup.LineUp;
import org.wiseember.trial.lineup.LineUpUnit;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.WorkbookException;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** The units of a workbook beside each other. */
@Command(
    name = "line-up",
    description = {
      "The units of a workbook beside each other at one load for all: what they deliver, weigh and",
      "cost, which must-haves they have, and which of them others beat in all one cares for."
    },
    mixinStandardHelpOptions = true)
final class LineUpCommand implements Callable<Integer> {
  /** In the order they are told. */
  private static final Map<Measure, Unit> TOLD =
      Map.ofEntries(
          Map.entry(Measure.DELIVERED, Unit.WATT_HOUR),
          Map.entry(Measure.YIELD, Unit.PERCENT),
          Map.entry(Measure.EFFICIENCY, Unit.PERCENT),
          Map.entry(Measure.WH_PER_KG, Unit.WATT_HOUR_PER_KILOGRAM),
          Map.entry(Measure.W_PER_KG, Unit.WATT_PER_KILOGRAM),
          Map.entry(Measure.PRICE_PER_LABEL_WH, Unit.PER_WATT_HOUR),
          Map.entry(Measure.PRICE_PER_DELIVERED_WH, Unit.PER_WATT_HOUR),
          Map.entry(Measure.PRICE_PER_LIFETIME_KWH, Unit.PER_KILOWATT_HOUR),
          Map.entry(Measure.FULL_AGAIN, Unit.HOUR),
          Map.entry(Measure.SUN, Unit.WATT),
          Map.entry(Measure.IDLE, Unit.WATT),
          Map.entry(Measure.CONTINUOUS, Unit.WATT),
          Map.entry(Measure.DISTORTION, Unit.PERCENT),
          Map.entry(Measure.WEIGHT, Unit.KILOGRAM),
          Map.entry(Measure.NOISE, Unit.DECIBEL),
          Map.entry(Measure.MUST_HAVES, Unit.ONE));

  @Parameters(paramLabel = "WORKBOOK", description = "The workbook.")
  private Path workbookFile;

  @Option(
      names = "--load",
      paramLabel = "W",
      description =
          "What energies are told at; without it the highest load inside what every unit was"
              + " drained at.")
  private Double load;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    if (load != null && !(load > 0 && load < 1e6)) {
      throw new ParameterException(spec.commandLine(), "--load is above 0 W.");
    }
    OptionalDouble watts = load == null ? OptionalDouble.empty() : OptionalDouble.of(load);
    try (Workbook workbook = Workbook.read(workbookFile, Clock.systemUTC())) {
      LineUp lineUp = LineUp.of(workbook, watts);
      if (lineUp.units().isEmpty()) {
        throw new WorkbookException(
            workbookFile.getFileName() + " has no unit on its shelf; add one first.");
      }
      PrintWriter out = spec.commandLine().getOut();
      if (json) {
        out.println(
            new ObjectMapper()
                .writerWithDefaultPrettyPrinter()
                .writeValueAsString(written(lineUp)));
      } else {
        told(lineUp, out);
      }
    }
    return 0;
  }

  private static ObjectNode written(LineUp lineUp) {
    ObjectNode root = new ObjectMapper().createObjectNode();
    if (lineUp.load().isPresent()) {
      root.put("load", lineUp.load().getAsDouble());
    } else {
      root.putNull("load");
    }
    ArrayNode units = root.putArray("units");
    for (LineUpUnit unit : lineUp.units()) {
      ObjectNode node = units.addObject();
      node.put("name", unit.name());
      ArrayNode figures = node.putArray("figures");
      for (Measure m : Measure.values()) {
        figure(figures.addObject(), m, unit);
      }
      ObjectNode beaten = figures.addObject().put("key", "beaten_by");
      ArrayNode names = beaten.putArray("value");
      lineUp.beaten().getOrDefault(unit.name(), List.of()).forEach(names::add);
      beaten.putNull("unit");
      beaten.putNull("u95");
      ArrayNode wishes = node.putArray("mustHaves");
      unit.answers()
          .forEach(
              a ->
                  wishes
                      .addObject()
                      .put("words", a.mustHave().words())
                      .put("answer", a.answer().words().replace(' ', '-'))
                      .put("because", a.because()));
    }
    ArrayNode order = root.putArray("order");
    lineUp
        .order()
        .places()
        .forEach(
            p ->
                order
                    .addObject()
                    .put("name", p.name())
                    .put("score", p.score())
                    .put("first", p.first()));
    return root;
  }

  private static void figure(ObjectNode node, Measure measure, LineUpUnit unit) {
    node.put("key", measure.key());
    Figure figure = unit.figure(measure).orElse(null);
    if (figure == null) {
      node.putNull("value");
    } else {
      node.put("value", figure.value());
    }
    node.put("unit", unit(measure, unit));
    if (figure == null) {
      node.putNull("u95");
    } else {
      node.put("u95", figure.u95());
      node.put("bound", figure.bound().key());
    }
  }

  /** Money is told in the currency that was typed. */
  private static String unit(Measure measure, LineUpUnit unit) {
    Unit in = TOLD.get(measure);
    String currency = unit.facts().currency();
    return switch (in) {
      case PER_WATT_HOUR -> (currency.isEmpty() ? "1" : currency) + "/Wh";
      case PER_KILOWATT_HOUR -> (currency.isEmpty() ? "1" : currency) + "/kWh";
      default -> in.symbol();
    };
  }

  private static void told(LineUp lineUp, PrintWriter out) {
    out.println(
        lineUp.load().isPresent()
            ? "At " + Figures.plain(Math.rint(lineUp.load().getAsDouble()), Unit.WATT)
            : "At no load: the units share none they were drained at");
    for (LineUpUnit unit : lineUp.units()) {
      out.println();
      out.println(unit.name());
      for (Measure m : Measure.values()) {
        unit.figure(m).ifPresent(f -> out.println("  " + f.name() + ": " + f.words()));
      }
      lineUp.missing(unit).forEach(words -> out.println("  not known, " + words));
      List<String> by = lineUp.beaten().getOrDefault(unit.name(), List.of());
      if (!by.isEmpty()) {
        out.println("  beaten by " + String.join(", ", by));
      }
    }
    if (!lineUp.order().places().isEmpty()) {
      out.println();
      lineUp
          .order()
          .places()
          .forEach(
              p ->
                  out.println(
                      p.name() + ": first with " + Figures.fixed(100 * p.first(), 0) + " %"));
    }
  }
}
