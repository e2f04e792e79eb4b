package org.wiseember.workbook;

import org.wiseember.core.trace.Channel;

/**
 * A reading a person typed.
 *
 * @param seconds on the run's clock
 * @param meter as the tester calls it
 * @param value in the channel's unit
 * @param resolution step of the last digit typed
 * @param asTyped what stood in the field
 */
public record StoredReading(
    long id,
    double seconds,
    String meter,
    Channel channel,
    double value,
    double resolution,
    String asTyped) {}
