package org.wiseember.report.page;

/**
 * A sheet of the page about one unit: what one run found.
 *
 * @param title of the run
 * @param under one line under it
 */
public record Sheet(String title, String under, FindingPage page) {}
