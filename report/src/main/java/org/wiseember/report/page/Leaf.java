package org.wiseember.report.page;

/** What a report is made of: the page of a unit's verdicts, or a sheet of its own. */
public sealed interface Leaf permits UnitPage, Sheet {
  /** What it is headed by. */
  String heading();
}
