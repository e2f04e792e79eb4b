package org.wiseember.core.plan;

import java.util.List;

/**
 * A unit of a campaign.
 *
 * @param charge it has now, tenths of a percent
 * @param chargeMinutes from empty to full
 * @param dischargeMinutes from full to empty
 * @param free the minute at which what it does now ends, or its last thing ended, from which it
 *     rests; below 0 for one that rests already
 * @param tasks in the plain order of work
 */
public record PlanUnit(
    String name,
    int charge,
    double chargeMinutes,
    double dischargeMinutes,
    int free,
    List<Task> tasks) {
  /** For one that has rested longer than any test asks for. */
  public static final int RESTED = -1_000_000;

  public PlanUnit {
    tasks = List.copyOf(tasks);
    if (charge < 0 || charge > Task.FULL || !(chargeMinutes > 0) || !(dischargeMinutes > 0)) {
      throw new IllegalArgumentException(
          "unit "
              + name
              + " has a charge between 0 and 100 %, and takes time to fill and to empty");
    }
  }

  /** One that has rested. */
  public PlanUnit(
      String name, int charge, double chargeMinutes, double dischargeMinutes, List<Task> tasks) {
    this(name, charge, chargeMinutes, dischargeMinutes, RESTED, tasks);
  }

  /** Whole minutes from one charge to another, either way. */
  int minutes(int from, int to) {
    double share = Math.abs(to - from) / (double) Task.FULL;
    return (int) Math.ceil(share * (to > from ? chargeMinutes : dischargeMinutes) - 1e-9);
  }
}
