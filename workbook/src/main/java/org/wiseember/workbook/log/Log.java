package org.wiseember.workbook.log;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Trace;

/**
 * A log file that was read.
 *
 * @param trace readings in the program's own units, time from the first row
 * @param startedAt the first row's moment, where the file says it
 * @param clockMayStep whether the times are stamps without an offset, from a clock that may have
 *     been set while it logged
 * @param warnings what was converted, skipped or mended
 */
public record Log(
    Trace trace, Optional<Instant> startedAt, boolean clockMayStep, List<Warning> warnings) {
  public Log {
    warnings = List.copyOf(warnings);
  }
}
