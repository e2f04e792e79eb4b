package org.wiseember.report.page;

import java.util.List;

/**
 * Leaves that are printed together, each beginning a page.
 *
 * @param title of the whole
 * @param workbook title of the workbook
 * @param made date, as printed
 * @param simulated whether readings come from a simulated bench
 */
public record Report(
    String title, String workbook, String made, boolean simulated, Paper paper, List<Leaf> leaves) {
  public Report {
    leaves = List.copyOf(leaves);
  }
}
