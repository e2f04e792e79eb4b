package org.wiseember.workbook;

import org.wiseember.core.waveform.Capture;

/**
 * A captured wave of a run.
 *
 * @param seconds on the run's clock, at its start
 * @param words what was captured
 */
public record KeptCapture(double seconds, String words, Capture capture) {}
