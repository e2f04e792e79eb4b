package org.wiseember.command;

import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.workbook.comtrade.ComtradeWriter;
import org.wiseember.workbook.comtrade.DataFormat;
import org.wiseember.workbook.log.ReadCapture;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** Writes a capture as a COMTRADE record. */
@Command(
    name = "convert",
    description = "Writes a capture as a COMTRADE record, .cfg with .dat beside it.",
    mixinStandardHelpOptions = true)
final class Convert implements Callable<Integer> {
  /** Written where the wave itself has no frequency to tell. */
  private static final double USUAL_HERTZ = 50;

  @Spec private CommandSpec spec;

  @Mixin private CaptureInput input;

  @Option(names = "--out", required = true, paramLabel = "FILE.cfg", description = "Ends in .cfg.")
  private Path out;

  @Option(
      names = "--format",
      paramLabel = "FORMAT",
      description = "ASCII, BINARY, BINARY32 or FLOAT32. ASCII without it.")
  private DataFormat format = DataFormat.ASCII;

  @Override
  public Integer call() throws Exception {
    if (!String.valueOf(out.getFileName()).toLowerCase(Locale.ROOT).endsWith(".cfg")) {
      throw new ParameterException(spec.commandLine(), "--out ends in .cfg.");
    }
    ReadCapture read = input.read();
    double hertz;
    try {
      hertz =
          WaveformAnalysis.of(read.capture(), WaveMethod.assumed(WaveMethod.USUAL_ORDERS))
              .frequency()
              .value();
    } catch (WaveformUnreadable e) {
      // What cannot be told can still be converted.
      hertz = USUAL_HERTZ;
    }
    ComtradeWriter.write(
        read.capture(), String.valueOf(input.file().getFileName()), hertz, format, out);
    spec.commandLine()
        .getOut()
        .println(out + ": " + read.capture().size() + " samples as " + format + ".");
    return 0;
  }
}
