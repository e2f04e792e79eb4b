package org.wiseember.desktop.model;

import java.util.Optional;

/** The stages of a test, in the order of work. */
public enum StageName {
  LABEL(
      "Label",
      "Type or paste the label the way it is printed, a line at a time. A line that is understood is"
          + " underlined in steel and becomes claims on the right. Click a claim to see what it was"
          + " taken to mean and to correct it. Below, the label is held against itself."),
  PLAN(
      "Plan",
      "What comes when: the tests the claims still want, laid out so that each finds the charge, the"
          + " rest, the meters and the person it needs. Drag a bar along its lane, or choose a step"
          + " and press left or right, to pin a test; beside it stand its rig card and what else can"
          + " be done with it. The other pages hold panels against the solar port, where red is only"
          + " what could pass its volts on the coldest morning, and tell which cable and fuse carry"
          + " what."),
  BENCH(
      "Bench",
      "Choose a test, start it here and watch it. What can hurt is said above it first, and the foot"
          + " of every stage stops it. Space marks a moment. The clock of the simulated bench can run"
          + " faster than real."),
  EVIDENCE(
      "Evidence",
      "Every run of this unit with its readings. Choose a run on the left of the list; click a figure"
          + " to see how it came about. Readings are never altered."),
  VERDICT(
      "Verdict",
      "Each claim is one line, drawn against its own label at the steel line. Left of it is worse than"
          + " promised, right is better; the bar is how sure the figure is. Choose a line to see why."),
  LINE_UP(
      "Line-up",
      "Units beside each other at one load for all: each unit's figure is read off its own curve there,"
          + " or missing with what would give it. Every figure opens how it came about; the name of a"
          + " unit takes what was paid for it. Write must-haves a line each, weigh what you care for,"
          + " and see how far a weight may move before another is first. The days of Run-time are the"
          + " jobs. A sheet of it all prints at the end."),
  RUN_TIME(
      "Run-time",
      "Lay out a day: appliances are rows, their times bars. Beneath, the charge of the chosen unit"
          + " falls with its band, other units beside it and what its label alone would have one"
          + " believe. Enter on a name opens the appliance, the arrows move a bar, with Shift its end."
          + " What comes of it stands below: until when it lasts, which start is sure, what must stay"
          + " off so that it lasts. Feeds are on the second page; a sheet to hang up is at the end."),
  REPORT(
      "Report",
      "The page about this unit as it will be printed. Save it as PDF or as HTML; both hold the same.");

  private final String words;
  private final String help;

  StageName(String words, String help) {
    this.words = words;
    this.help = help;
  }

  public String words() {
    return words;
  }

  /** What F1 says. */
  public String help() {
    return help;
  }

  /** The stage of a digit key, 1 to 8. */
  public static Optional<StageName> byNumber(int number) {
    return number >= 1 && number <= values().length
        ? Optional.of(values()[number - 1])
        : Optional.empty();
  }
}
