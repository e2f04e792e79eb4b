package org.wiseember.workbook.log;

import java.util.List;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.waveform.Capture;

/**
 * A capture that was read from a file.
 *
 * @param warnings what was converted, passed over or assumed
 */
public record ReadCapture(Capture capture, List<Warning> warnings) {
  public ReadCapture {
    warnings = List.copyOf(warnings);
  }
}
