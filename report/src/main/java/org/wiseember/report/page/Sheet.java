package org.wiseember.report.page;

/**
 * A sheet of its own: what one run found, a day, a plan, the method.
 *
 * @param title of the run
 * @param under one line under it
 */
public record Sheet(String title, String under, FindingPage page) implements Leaf {
  @Override
  public String heading() {
    return title;
  }
}
