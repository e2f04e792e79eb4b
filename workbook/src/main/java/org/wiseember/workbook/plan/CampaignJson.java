package org.wiseember.workbook.plan;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.wiseember.core.plan.Campaign;
import org.wiseember.core.plan.PlanUnit;
import org.wiseember.core.plan.Task;
import org.wiseember.workbook.strict.Fields;
import org.wiseember.workbook.strict.JsonUnreadable;
import org.wiseember.workbook.strict.Tree;

/** A campaign as JSON; the schema is campaign.schema.json. Times are kept in whole minutes. */
public final class CampaignJson {
  /** No campaign comes near it. */
  public static final int LONGEST = 2_000_000;

  private static final int MOST = 200;
  private static final int MOST_TESTS = 1000;
  private static final double MOST_HOURS = 24 * 60;
  private static final double HOUR = 60;
  private static final double TENTHS = 10;

  private CampaignJson() {}

  /**
   * Reads one.
   *
   * @throws JsonUnreadable in one sentence about the first thing that is wrong
   */
  public static Campaign read(String text) throws JsonUnreadable {
    Fields f = new Fields(Tree.of(text), "the campaign");
    try {
      List<PlanUnit> units = new ArrayList<>();
      Set<String> names = new HashSet<>();
      for (JsonNode node : f.list("units", MOST)) {
        PlanUnit unit = unit(new Fields(node, "unit " + (units.size() + 1)));
        if (!names.add(unit.name())) {
          throw new JsonUnreadable("Two units are called “" + unit.name() + "”; rename one.");
        }
        units.add(unit);
      }
      List<Campaign.Window> present = new ArrayList<>();
      for (JsonNode node : f.list("present", MOST)) {
        Fields w = new Fields(node, "“present” " + (present.size() + 1));
        // Of a window only whole minutes count, so it is rounded inwards.
        int from = (int) Math.ceil(HOUR * w.number("from", 0, MOST_HOURS) - 1e-9);
        int to = (int) Math.floor(HOUR * w.number("to", 0, MOST_HOURS) + 1e-9);
        w.end();
        present.add(new Campaign.Window(from, to));
      }
      Map<String, Integer> shared = shared(f);
      f.end();
      if (units.stream().mapToInt(u -> u.tasks().size()).sum() > MOST_TESTS) {
        throw new JsonUnreadable(
            "That is more than " + MOST_TESTS + " tests in all; plan some of the units first.");
      }
      if (units.isEmpty()) {
        throw new JsonUnreadable("“units” has no unit; name at least one with its tests.");
      }
      return new Campaign(units, present, shared);
    } catch (IllegalArgumentException e) {
      throw new JsonUnreadable(Fields.capital(e.getMessage()) + ".");
    }
  }

  private static Map<String, Integer> shared(Fields f) throws JsonUnreadable {
    Map<String, Integer> shared = new LinkedHashMap<>();
    if (f.has("shared")) {
      JsonNode things = f.any("shared");
      Fields own = new Fields(things, "“shared”");
      for (String thing : (Iterable<String>) things::fieldNames) {
        shared.put(thing, own.whole(thing, 0, 1000));
      }
    }
    return shared;
  }

  private static PlanUnit unit(Fields f) throws JsonUnreadable {
    String name = f.name("name", "");
    if (name.isBlank()) {
      throw new JsonUnreadable(Fields.capital(f.place()) + " needs a “name”; give it one.");
    }
    int charge = (int) Math.round(TENTHS * f.number("charge", 0, 100, 0));
    double chargeHours = f.number("chargeHours", 1e-3, MOST_HOURS);
    double dischargeHours = f.number("dischargeHours", 1e-3, MOST_HOURS);
    List<Task> tasks = new ArrayList<>();
    Set<String> ids = new HashSet<>();
    for (JsonNode node : f.list("tests", MOST)) {
      Task task = task(new Fields(node, "test " + (tasks.size() + 1) + " of " + name));
      if (!ids.add(task.id())) {
        throw new JsonUnreadable(
            name + " has two tests called “" + task.id() + "”; rename one of them.");
      }
      tasks.add(task);
    }
    f.end();
    return new PlanUnit(name, charge, HOUR * chargeHours, HOUR * dischargeHours, tasks);
  }

  private static Task task(Fields f) throws JsonUnreadable {
    String id = f.name("id", "");
    if (id.isBlank()) {
      throw new JsonUnreadable(Fields.capital(f.place()) + " needs an “id”; give it one.");
    }
    int least = 0;
    int most = Task.FULL;
    if (f.has("needs") && f.any("needs").isTextual()) {
      String needs = f.text("needs", "");
      switch (needs) {
        case "full" -> least = Task.FULL;
        case "empty" -> most = 0;
        default ->
            throw new JsonUnreadable(
                "“needs” of " + f.place() + " is full, empty, or at least so many %.");
      }
    } else {
      least = (int) Math.round(TENTHS * f.number("needs", 0, 100, 0));
    }
    int leaves = (int) Math.round(TENTHS * f.number("leaves", -100, 100));
    int minutes = minutes(f.number("hours", 1e-6, MOST_HOURS));
    int attended = attended(f, minutes);
    List<String> uses = new ArrayList<>();
    for (JsonNode use : f.list("uses", MOST)) {
      if (!use.isTextual()) {
        throw new JsonUnreadable("“uses” of " + f.place() + " names things in quotes.");
      }
      uses.add(use.asText());
    }
    int rest = minutes(f.number("restBefore", 0, MOST_HOURS, 0));
    f.end();
    return new Task(id, least, most, leaves, minutes, attended, uses, rest);
  }

  private static int minutes(double hours) {
    return (int) Math.ceil(HOUR * hours - 1e-9);
  }

  private static int attended(Fields f, int minutes) throws JsonUnreadable {
    if (f.has("attended") && f.any("attended").isTextual()) {
      if (!f.text("attended", "").equals("all")) {
        throw new JsonUnreadable("“attended” of " + f.place() + " is a share from 0 to 1, or all.");
      }
      return minutes;
    }
    return (int) Math.ceil(f.number("attended", 0, 1, 0) * minutes - 1e-9);
  }
}
