package org.wiseember.trial.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.DoNow;
import org.wiseember.bench.procedure.HeatNoise;
import org.wiseember.core.label.Label;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.wiring.CableRun;
import org.wiseember.report.drawing.RigDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.need.Equipment;
import org.wiseember.trial.need.Needs;
import org.wiseember.trial.need.RigCable;
import org.wiseember.trial.need.UnitTimes;

/**
 * How a test is wired, what to see to before it begins, and what can hurt.
 *
 * @param title the test and its unit
 * @param drawing from source to load
 * @param checks before the start
 * @param leads what each carries, worked out
 * @param cautions beside them
 */
public record RigCard(
    String title,
    RigDrawing drawing,
    List<String> checks,
    List<String> leads,
    List<String> cautions) {
  /** What goes for every wire. */
  public static final String WIRING =
      "Wiring beyond plug and socket is work for a licensed electrician, under your local code.";

  public RigCard {
    checks = List.copyOf(checks);
    leads = List.copyOf(leads);
    cautions = List.copyOf(cautions);
  }

  /** Of a test for a unit. */
  public static RigCard of(String unitName, TestPlan plan, Label label, UnitTimes times) {
    List<DoNow> steps = plan.settings().procedure().steps();
    List<RigCable> cables = plan.settings().leads(label);
    List<String> cautions =
        new ArrayList<>(
            steps.stream().map(DoNow::caution).filter(c -> !c.isEmpty()).distinct().toList());
    cautions.add(WIRING);
    return new RigCard(
        plan.title() + ", " + unitName,
        new Wiring(plan, cables, plan.settings().needs(times)).drawing(),
        steps.stream()
            .filter(s -> s.when() == DoNow.When.BEFORE)
            .map(DoNow::text)
            .distinct()
            .toList(),
        cables.stream().map(RigCable::words).toList(),
        cautions);
  }

  /** Of a test of the plan. */
  public static Optional<RigCard> of(ScheduleStep step, Label label, UnitTimes times) {
    return step.wanted().map(w -> of(step.unitName(), w.plan(), label, times));
  }

  /** One card or several on a sheet. */
  public static Sheet sheet(List<RigCard> cards) {
    FindingPage page = new FindingPage(List.of(), List.of());
    for (RigCard card : cards) {
      page =
          page.say(List.of(card.title()))
              .chart(card.drawing())
              .table(
                  List.of("Before you start"),
                  card.checks().stream().map(c -> List.of("\u25a1 " + c)).toList())
              .say(card.leads())
              .say(card.cautions().stream().map(c -> "Take care: " + c).toList());
    }
    return new Sheet(
        cards.size() == 1 ? "Rig card" : "Rig cards",
        cards.size() == 1 ? cards.get(0).title() + "." : cards.size() + " tests.",
        page);
  }

  /** Puts the things of a test in a row. */
  private static final class Wiring {
    private final TestPlan plan;
    private final List<RigCable> cables;
    private final Needs needs;
    private final List<RigDrawing.Thing> row = new ArrayList<>();
    private final List<RigDrawing.Lead> leads = new ArrayList<>();
    private final List<RigDrawing.Probe> probes = new ArrayList<>();

    Wiring(TestPlan plan, List<RigCable> cables, Needs needs) {
      this.plan = plan;
      this.cables = cables;
      this.needs = needs;
    }

    private boolean uses(Equipment thing) {
      return needs.uses().contains(thing);
    }

    RigDrawing drawing() {
      boolean loaded = uses(Equipment.LOADS);
      boolean fed = uses(Equipment.MAINS) || uses(Equipment.PANELS) || uses(Equipment.SUPPLY);
      if (fed) {
        thing(
            uses(Equipment.PANELS) ? "Panels" : uses(Equipment.SUPPLY) ? "Battery" : "Outlet",
            false,
            lead(false));
        if (!loaded) {
          thing(
              uses(Equipment.AC_METER) ? "AC meter" : "DC meter",
              true,
              new RigDrawing.Lead("", ""));
        }
      } else if (cables.stream().anyMatch(c -> c.part() == RigCable.Part.BATTERY)) {
        thing("Battery", false, lead(false));
      }
      int unit = row.size();
      boolean onwards = loaded || uses(Equipment.USB_TESTER) || plainMeter();
      thing("Unit", false, onwards ? lead(true) : null);
      boolean both = uses(Equipment.AC_METER) && uses(Equipment.DC_METER);
      if (loaded && uses(Equipment.AC_METER)) {
        thing("AC meter", true, new RigDrawing.Lead("", ""));
      } else if (loaded && uses(Equipment.DC_METER)) {
        thing("DC meter", true, new RigDrawing.Lead("", ""));
      } else if (plainMeter()) {
        thing("AC meter", true, new RigDrawing.Lead("", ""));
      }
      if (loaded || plainMeter()) {
        thing(
            plan.watts() > 0 && plan.settings().loads().size() == 1
                ? Figures.plain(Math.rint(plan.watts()), Unit.WATT) + " load"
                : "Loads",
            false,
            null);
      } else if (uses(Equipment.USB_TESTER)) {
        thing("USB tester", true, new RigDrawing.Lead("", ""));
        thing("USB load", false, null);
      }
      if (both || (!loaded && !fed && uses(Equipment.DC_METER))) {
        probes.add(new RigDrawing.Probe(unit, "DC clamp at the battery", false));
      }
      if (uses(Equipment.SCOPE)) {
        probes.add(new RigDrawing.Probe(row.size() - 1, "scope, only through isolation", true));
      }
      if (plan.type().key().equals(HeatNoise.KIND)) {
        probes.add(new RigDrawing.Probe(unit, "probe at the vent, ear at 1 m", false));
      }
      return new RigDrawing(row, leads, probes);
    }

    /** A meter with no load of the bench behind it: the appliances of the house. */
    private boolean plainMeter() {
      boolean fed = uses(Equipment.MAINS) || uses(Equipment.PANELS) || uses(Equipment.SUPPLY);
      return !uses(Equipment.LOADS) && !fed && uses(Equipment.AC_METER);
    }

    /** What carries from the unit onwards, or from its source to it. */
    private RigDrawing.Lead lead(boolean onwards) {
      return cables.stream()
          .filter(c -> (c.part() == RigCable.Part.TO_LOAD) == onwards)
          .findFirst()
          .flatMap(RigCable::cable)
          .map(Wiring::lead)
          .orElse(new RigDrawing.Lead("", ""));
    }

    private static RigDrawing.Lead lead(CableRun cable) {
      return new RigDrawing.Lead(
          cable.fuse().map(f -> Figures.plain(f, Unit.AMPERE)).orElse(""),
          Figures.plain(cable.gauge().metric(), Unit.SQUARE_MILLIMETRE));
    }

    private void thing(String words, boolean meter, RigDrawing.Lead after) {
      row.add(new RigDrawing.Thing(List.of(words.split(" (?=[a-z])")), meter));
      if (after != null) {
        leads.add(after);
      }
    }
  }
}
