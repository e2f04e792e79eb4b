package org.wiseember.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Plays a plan minute by minute and finds out whether every test finds what it needs. */
final class Replayed {
  private Replayed() {}

  static void check(Campaign campaign, Plan plan) {
    Map<String, List<int[]>> taken = new HashMap<>();
    List<int[]> attended = new ArrayList<>();
    campaign
        .away()
        .forEach(
            a ->
                taken
                    .computeIfAbsent(a.thing(), k -> new ArrayList<>())
                    .add(new int[] {Math.max(0, a.from()), a.to()}));
    for (PlanUnit unit : campaign.units()) {
      int charge = unit.charge();
      int over = Math.max(0, unit.free());
      int rests = unit.free();
      List<String> done = new ArrayList<>();
      for (Plan.Step s : plan.steps().stream().filter(p -> p.unit().equals(unit.name())).toList()) {
        assertTrue(s.from() >= over, s + " begins before " + over);
        assertEquals(s.chargeFrom(), charge, s.toString());
        if (s.id().equals(Plan.CHARGE) || s.id().equals(Plan.DISCHARGE)) {
          double whole =
              s.id().equals(Plan.CHARGE) ? unit.chargeMinutes() : unit.dischargeMinutes();
          assertTrue(
              !campaign.tended()
                  || campaign.present().stream()
                      .anyMatch(w -> s.from() >= w.from() && s.from() < w.to()),
              s + " has nobody to begin it");
          double needed = Math.abs(s.chargeTo() - s.chargeFrom()) / 1000.0 * whole;
          assertTrue(s.to() - s.from() >= needed - 1e-6, s + " is too short");
          assertEquals(s.chargeTo() > s.chargeFrom(), s.id().equals(Plan.CHARGE));
        } else {
          Task task =
              unit.tasks().stream().filter(t -> t.id().equals(s.id())).findFirst().orElseThrow();
          done.add(task.id());
          assertEquals(s.to() - s.from(), task.minutes());
          assertTrue(charge >= task.least() && charge <= task.most(), s + " needs another charge");
          assertTrue(
              task.leaves() >= 0 || charge >= -task.leaves(), s + " takes more than is there");
          assertTrue(s.from() >= rests + task.rest(), s + " has not rested");
          assertTrue(!task.pinned() || s.from() == task.at(), s + " is not where it is pinned");
          if (task.attended() > 0) {
            attended.add(new int[] {s.from(), s.from() + task.attended()});
          }
          assertTrue(campaign.attended(task, s.from()), s + " has nobody there");
          assertEquals(s.chargeTo(), task.leaves() >= 0 ? task.leaves() : charge + task.leaves());
          task.uses()
              .forEach(
                  u ->
                      taken
                          .computeIfAbsent(u, k -> new ArrayList<>())
                          .add(new int[] {s.from(), s.to()}));
        }
        charge = s.chargeTo();
        over = s.to();
        rests = s.to();
      }
      assertEquals(
          done.stream().sorted().toList(),
          unit.tasks().stream().map(Task::id).sorted().toList(),
          "no test is lost");
    }
    for (int[] a : attended) {
      long together = attended.stream().filter(o -> o[0] <= a[0] && o[1] > a[0]).count();
      assertTrue(together <= campaign.people(), together + " tests want somebody at " + a[0]);
    }
    taken.forEach(
        (thing, times) -> {
          for (int[] t : times) {
            long together = times.stream().filter(o -> o[0] <= t[0] && o[1] > t[0]).count();
            assertTrue(
                together <= campaign.shared().get(thing),
                thing + " is used " + together + " times");
          }
        });
  }
}
