package org.wiseember.command.analyze;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.workbook.CaptureFiles;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.ReadCapture;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** A capture on the command line and how it is to be read. */
public final class CaptureInput {
  @Spec(Spec.Target.MIXEE)
  private CommandSpec spec;

  @Parameters(
      index = "0",
      paramLabel = "CAPTURE",
      description =
          "CSV of any scope, or COMTRADE: .cfg with its .dat beside it, or .cff; see"
              + " docs/formats.md.")
  private Path file;

  @Option(
      names = "--sample-rate",
      paramLabel = "HZ",
      description = "Samples a second, where the file has no time.")
  private Double sampleRate;

  @Option(
      names = "--scale",
      paramLabel = "N",
      description = "Multiplies the volts: probe, transformer, or volts a count. 1 without it.")
  private Double scale;

  @Option(
      names = "--channel",
      paramLabel = "NAME",
      description = "The channel to take for the volts, where the file has several.")
  private String channel;

  public Path file() {
    return file;
  }

  double scale() {
    return scale == null ? 1 : scale;
  }

  public ReadCapture read() throws IOException, LogUnreadable {
    if ((sampleRate != null && !(sampleRate > 0 && sampleRate < 1e12))
        || (scale != null && !(Math.abs(scale) > 0 && Math.abs(scale) < 1e9))) {
      throw new ParameterException(
          spec.commandLine(), "--sample-rate and --scale take a number above 0.");
    }
    return CaptureFiles.read(
        file,
        sampleRate == null ? OptionalDouble.empty() : OptionalDouble.of(sampleRate),
        Optional.ofNullable(channel),
        scale());
  }
}
