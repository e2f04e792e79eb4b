package org.wiseember.core.waveform;

import org.wiseember.core.uncertainty.Estimate;

/**
 * What volts and amps captured together say of the load.
 *
 * <p>Source: P = mean of u·i over whole cycles; S = U·I; power factor = P ÷ S; displacement factor
 * = cosine of the angle between the fundamentals (IEEE 1459, recalled from memory).
 *
 * @param watts real power, W, positive into the load
 * @param voltAmperes apparent power, VA
 * @param powerFactor between −1 and 1
 * @param displacementFactor of the fundamentals alone, between −1 and 1
 * @param amps true RMS, A
 * @param ampsThd distortion of the current against its fundamental, %
 * @param ampsCrest its peak over its RMS
 */
public record AcPower(
    Estimate watts,
    Estimate voltAmperes,
    Estimate powerFactor,
    double displacementFactor,
    Estimate amps,
    Estimate ampsThd,
    double ampsCrest) {}
