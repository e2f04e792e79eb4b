package org.wiseember.command;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.wiseember.core.plan.Campaign;
import org.wiseember.core.plan.Plan;
import org.wiseember.core.plan.PlanUnit;
import org.wiseember.core.plan.Planner;
import org.wiseember.core.plan.Task;
import org.wiseember.core.quantity.Figures;
import org.wiseember.workbook.log.TextFile;
import org.wiseember.workbook.plan.CampaignJson;
import org.wiseember.workbook.strict.JsonUnreadable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What comes when in a campaign of tests. */
@Command(
    name = "plan",
    description = {
      "What comes when in a campaign of tests: least hours, then fewest charges, then earliest.",
      "CAMPAIGN.json says what is to be done; docs/formats.md and campaign.schema.json tell how."
    },
    mixinStandardHelpOptions = true)
final class PlanCommand implements Callable<Integer> {
  /** A handful of tests is worth proving; of many the best of a few seconds will do. */
  private static final int FEW = 14;

  private static final double FEW_SECONDS = 60;
  private static final double MANY_SECONDS = 3.5;

  private static final double HOUR = 60;
  private static final double TENTHS = 10;

  @Parameters(paramLabel = "CAMPAIGN.json", description = "The campaign.")
  private Path file;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Exception {
    Campaign campaign = CampaignJson.read(TextFile.read(file, CampaignJson.LONGEST, "campaign"));
    Plan plan;
    try {
      int tests = campaign.units().stream().mapToInt(u -> u.tasks().size()).sum();
      plan = Planner.plan(campaign, tests <= FEW ? FEW_SECONDS : MANY_SECONDS, 1);
    } catch (IllegalArgumentException e) {
      String why = e.getMessage();
      throw new JsonUnreadable(Character.toUpperCase(why.charAt(0)) + why.substring(1) + ".");
    }
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(
          new ObjectMapper()
              .writerWithDefaultPrettyPrinter()
              .writeValueAsString(written(campaign, plan)));
    } else {
      told(plan, out);
    }
    return 0;
  }

  private static ObjectNode written(Campaign campaign, Plan plan) {
    ObjectNode root = new ObjectMapper().createObjectNode();
    ArrayNode steps = root.putArray("steps");
    for (Plan.Step s : plan.steps()) {
      steps
          .addObject()
          .put("unit", s.unit())
          .put("id", s.words())
          .put("from", s.from() / HOUR)
          .put("to", s.to() / HOUR)
          .put("chargeFrom", s.chargeFrom() / TENTHS)
          .put("chargeTo", s.chargeTo() / TENTHS);
    }
    root.put("hours", plan.minutes() / HOUR);
    root.put("attendedHours", attended(campaign, plan) / HOUR);
    root.put("extraCharges", plan.charges());
    root.put("proven", plan.proven());
    return root;
  }

  /** Minutes somebody has to be there; who attends two tests at once is there once. */
  private static int attended(Campaign campaign, Plan plan) {
    BitSet there = new BitSet();
    for (PlanUnit unit : campaign.units()) {
      for (Task task : unit.tasks()) {
        plan.steps().stream()
            .filter(s -> s.unit().equals(unit.name()) && s.id().equals(task.id()))
            .forEach(s -> there.set(s.from(), s.from() + task.attended()));
      }
    }
    return there.cardinality();
  }

  private static void told(Plan plan, PrintWriter out) {
    Map<String, List<Plan.Step>> byUnit =
        plan.steps().stream()
            .collect(Collectors.groupingBy(Plan.Step::unit, TreeMap::new, Collectors.toList()));
    byUnit.forEach(
        (unit, steps) -> {
          out.println(unit);
          steps.forEach(
              s ->
                  out.println(
                      "  "
                          + clock(s.from())
                          + " to "
                          + clock(s.to())
                          + "  "
                          + s.words()
                          + ", "
                          + Figures.plain(s.chargeFrom() / TENTHS)
                          + " → "
                          + Figures.plain(s.chargeTo() / TENTHS)
                          + " %"));
        });
    out.println(
        clock(plan.minutes())
            + " in all, "
            + plan.charges()
            + (plan.charges() == 1 ? " charge" : " charges")
            + " put in, "
            + (plan.proven() ? "proven the least." : "the best that was found."));
  }

  private static String clock(int minutes) {
    return minutes / 60 + ":" + (minutes % 60 < 10 ? "0" : "") + minutes % 60;
  }
}
