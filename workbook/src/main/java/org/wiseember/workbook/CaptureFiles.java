package org.wiseember.workbook;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.workbook.comtrade.ComtradeReader;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.ReadCapture;
import org.wiseember.workbook.log.WaveCsv;

/** Captures in files of any kind that is read: CSV of any scope, or COMTRADE. */
public final class CaptureFiles {
  private CaptureFiles() {}

  /**
   * Reads a file by its ending.
   *
   * @param perSecond samples a second, where the file does not tell; empty to find it there
   * @param channel name of the channel to take for the volts; empty for the first that has volts
   * @param scale the volts are multiplied by: probe, transformer, or volts a count
   * @throws LogUnreadable in one sentence
   */
  public static ReadCapture read(
      Path file, OptionalDouble perSecond, Optional<String> channel, double scale)
      throws IOException, LogUnreadable {
    return ComtradeReader.reads(file)
        ? ComtradeReader.read(file, channel, scale)
        : WaveCsv.read(file, perSecond, channel, scale);
  }
}
