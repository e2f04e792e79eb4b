package org.wiseember.bench.run;

import java.util.List;
import java.util.Optional;
import org.wiseember.bench.instrument.Health;
import org.wiseember.bench.instrument.StillOn;
import org.wiseember.bench.procedure.Now;
import org.wiseember.bench.procedure.Phase;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.trace.Frame;

/**
 * A run at one moment, for whoever watches.
 *
 * @param latest the newest readings, no older than a few seconds; null before the first
 * @param watts the newest watts the test is about: at the outlet, or on the DC side
 * @param deliveredWattHours ∫ of those watts so far
 * @param loadedSeconds time since the load first drew power; 0 before
 * @param frames how many were read that had any reading in them
 * @param power those watts so far, thinned for drawing
 * @param celsius the case temperature so far, thinned
 * @param display the display's charge so far, thinned
 * @param notices all so far
 * @param health how each instrument does, in the bench's order
 * @param unitShows what the unit shows beside its figures, such as an error code
 * @param asks what a person has to do before the run goes on; empty for nothing
 * @param now what a person does in a test by hand; empty in one that is not
 * @param unsaved why the newest frames are not on disk yet; empty when they are
 * @param stillOn loads that could not be switched off when it ended; empty while it runs
 */
public record RunView(
    Phase phase,
    Frame latest,
    double watts,
    double deliveredWattHours,
    double loadedSeconds,
    long frames,
    Thinned power,
    Thinned celsius,
    Thinned display,
    List<Notice> notices,
    List<Health> health,
    String unitShows,
    String asks,
    Optional<Now> now,
    String unsaved,
    List<StillOn> stillOn) {}
