package org.wiseember.trial.kind.found;

import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.trial.kind.TestRun;

/** A run in which a unit was read at rest. */
public interface Idled extends TestRun {
  /** What a label's idle draw is held against, W; empty where nobody read it. */
  Optional<Figure> idleDraw();
}
