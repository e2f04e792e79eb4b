/**
 * Captured waves: true RMS, frequency, harmonics and distortion over windows locked to the measured
 * frequency, the class of the shape, and half-cycle RMS for sags and gaps.
 */
package org.wiseember.core.waveform;
