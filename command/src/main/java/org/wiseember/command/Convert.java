package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.wiseember.command.analyze.CaptureInput;
import org.wiseember.core.waveform.WaveMethod;
import org.wiseember.core.waveform.WaveformAnalysis;
import org.wiseember.core.waveform.WaveformUnreadable;
import org.wiseember.workbook.comtrade.ComtradeReader;
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

  /** A capture that is written over itself would be gone when anything goes wrong. */
  private void refuseItsOwnSource() throws IOException {
    String name = String.valueOf(out.getFileName());
    Path data = out.resolveSibling(name.substring(0, name.length() - 4) + ".dat");
    for (Path written : List.of(out, data)) {
      for (Path source : ComtradeReader.filesOf(input.file())) {
        if (Files.exists(written) && Files.exists(source) && Files.isSameFile(written, source)) {
          throw new ParameterException(
              spec.commandLine(),
              "--out would write over " + source + ", which is read. Choose another name.");
        }
      }
    }
  }

  @Override
  public Integer call() throws Exception {
    if (!String.valueOf(out.getFileName()).toLowerCase(Locale.ROOT).endsWith(".cfg")) {
      throw new ParameterException(spec.commandLine(), "--out ends in .cfg.");
    }
    refuseItsOwnSource();
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
