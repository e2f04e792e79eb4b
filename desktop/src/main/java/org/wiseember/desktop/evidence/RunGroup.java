package org.wiseember.desktop.evidence;

import java.util.List;
import org.wiseember.trial.kind.TestRun;

/** A tab of runs: one part of the verdict, or two that seldom fill a tab each. */
enum RunGroup {
  ENERGY("Energy"),
  IDLE("Idle"),
  POWER("Power"),
  WAVEFORM("Waveform"),
  CHARGING("Charging"),
  PORTS("Ports and body");

  private final String words;

  RunGroup(String words) {
    this.words = words;
  }

  String words() {
    return words;
  }

  /** The one a run lies in. */
  static RunGroup of(TestRun run) {
    return switch (run.type().declaration().group()) {
      case ENERGY -> ENERGY;
      case IDLE -> IDLE;
      case POWER -> POWER;
      case WAVEFORM -> WAVEFORM;
      case CHARGING -> CHARGING;
      case PORTS, BODY -> PORTS;
    };
  }

  /** Its runs, oldest first. */
  List<TestRun> of(List<TestRun> runs) {
    return runs.stream().filter(r -> of(r) == this).toList();
  }
}
