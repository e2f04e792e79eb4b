/** Captured waves: samples at an even pace, half-cycle RMS, and the wave that repeats in them. */
package org.wiseember.core.waveform;
