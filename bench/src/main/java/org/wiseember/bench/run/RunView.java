package org.wiseember.bench.run;

import java.util.List;
import org.wiseember.bench.instrument.Frame;
import org.wiseember.bench.procedure.Notice;
import org.wiseember.bench.procedure.Phase;

/**
 * A run at one moment, for whoever watches.
 *
 * @param latest the newest frame; null before the first
 * @param deliveredWattHours ∫ of the AC watts so far
 * @param loadedSeconds time since the load first drew power; 0 before
 * @param frames how many were read
 * @param power the AC watts so far, thinned for drawing
 * @param celsius the case temperature so far, thinned
 * @param display the display's charge so far, thinned
 * @param notices all so far
 * @param unsaved why the newest frames are not on disk yet; empty when they are
 */
public record RunView(
    Phase phase,
    Frame latest,
    double deliveredWattHours,
    double loadedSeconds,
    long frames,
    Thinned power,
    Thinned celsius,
    Thinned display,
    List<Notice> notices,
    String unsaved) {}
