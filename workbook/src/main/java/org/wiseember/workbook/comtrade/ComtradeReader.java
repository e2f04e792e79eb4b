package org.wiseember.workbook.comtrade;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.waveform.Capture;
import org.wiseember.workbook.disk.OrdinaryFile;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.ReadCapture;

/**
 * Reads volts, and amps where there are some, of a COMTRADE record: {@code .cfg} with its {@code
 * .dat} beside it, or one {@code .cff}. Numbers behind a transformer are brought to before it.
 */
public final class ComtradeReader {
  /** No part of a record is larger. */
  public static final long MOST_BYTES = 512L << 20;

  private static final Pattern SECTION =
      Pattern.compile(
          "---\\s*file type:\\s*(CFG|INF|HDR|DAT)\\s*(\\w*)\\s*(?::\\s*(\\d+))?\\s*---",
          Pattern.CASE_INSENSITIVE);

  private ComtradeReader() {}

  /** Whether a file is one of a record, by its ending. */
  public static boolean reads(Path file) {
    return List.of("cfg", "dat", "cff").contains(ending(file));
  }

  private static String ending(Path file) {
    String name = String.valueOf(file.getFileName());
    return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
  }

  /**
   * Reads a record.
   *
   * @param file its {@code .cfg}, {@code .dat} or {@code .cff}
   * @param channel name of the channel to take for the volts; empty for the first that has volts
   * @param scale the volts are multiplied by
   * @throws LogUnreadable in one sentence
   */
  public static ReadCapture read(Path file, Optional<String> channel, double scale)
      throws IOException, LogUnreadable {
    if (ending(file).equals("cff")) {
      return combined(file, channel, scale);
    }
    Path configuration = partner(file, "cfg");
    Path data = partner(file, "dat");
    Configuration c =
        Configuration.of(lines(bytes(configuration)), configuration.getFileName().toString());
    return capture(bytes(data), c, data.getFileName().toString(), channel, scale);
  }

  /** The files a capture is read from: those of a record, or the file itself. */
  public static List<Path> filesOf(Path file) throws IOException {
    try {
      return ending(file).equals("cff") || !reads(file)
          ? List.of(file)
          : List.of(partner(file, "cfg"), partner(file, "dat"));
    } catch (LogUnreadable incomplete) {
      return List.of(file);
    }
  }

  /** The file of the same name with an ending, in whatever case it is written. */
  private static Path partner(Path file, String ending) throws IOException, LogUnreadable {
    if (ending(file).equals(ending)) {
      return file;
    }
    String name = file.getFileName().toString();
    String wanted = name.substring(0, name.lastIndexOf('.') + 1) + ending;
    Path folder = file.toAbsolutePath().getParent();
    if (Files.isDirectory(folder)) {
      try (Stream<Path> all = Files.list(folder)) {
        Optional<Path> found =
            all.filter(p -> p.getFileName().toString().equalsIgnoreCase(wanted)).findFirst();
        if (found.isPresent()) {
          return found.get();
        }
      }
    }
    throw new LogUnreadable(
        "There is no " + wanted + " beside " + name + ". A COMTRADE record is two files.");
  }

  private static byte[] bytes(Path file) throws IOException, LogUnreadable {
    Optional<String> trouble = OrdinaryFile.trouble(file);
    if (trouble.isPresent()) {
      throw new LogUnreadable(file + ": " + trouble.get() + ".");
    }
    if (Files.size(file) > MOST_BYTES) {
      throw new LogUnreadable(
          file.getFileName() + " is larger than 512 MiB. Save a shorter capture.");
    }
    return Files.readAllBytes(file);
  }

  private static List<String> lines(byte[] text) {
    String all;
    try {
      all = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(text)).toString();
    } catch (CharacterCodingException e) {
      // Before 2013 the standard wanted ASCII; recorders wrote what they had.
      all = new String(text, StandardCharsets.ISO_8859_1);
    }
    String plain = all.startsWith("\ufeff") ? all.substring(1) : all;
    return Arrays.asList(plain.strip().split("\r?\n|\r"));
  }

  /** More digits than a file has bytes mean all of it. */
  private static long length(String digits) {
    return digits.length() > 12 ? MOST_BYTES : Long.parseLong(digits);
  }

  private static ReadCapture combined(Path file, Optional<String> channel, double scale)
      throws IOException, LogUnreadable {
    byte[] all = bytes(file);
    Charset plain = StandardCharsets.ISO_8859_1;
    String text = new String(all, plain);
    Matcher m = SECTION.matcher(text);
    byte[] configuration = null;
    byte[] data = null;
    String name = file.getFileName().toString();
    int from = 0;
    while (m.find(from)) {
      String kind = m.group(1).toUpperCase(Locale.ROOT);
      int start = afterLine(text, m.end());
      if (kind.equals("DAT")) {
        // Bytes may look like anything, so that no section is looked for behind them.
        int end =
            m.group(3) == null
                ? all.length
                : (int) Math.min(all.length, start + length(m.group(3)));
        data = Arrays.copyOfRange(all, start, end);
        break;
      }
      Matcher next = SECTION.matcher(text);
      int end = next.find(start) ? next.start() : all.length;
      if (kind.equals("CFG")) {
        configuration = Arrays.copyOfRange(all, start, end);
      }
      from = start;
    }
    if (configuration == null || data == null) {
      throw new LogUnreadable(
          name + " lacks its configuration or its samples. It is no combined COMTRADE record.");
    }
    return capture(data, Configuration.of(lines(configuration), name), name, channel, scale);
  }

  private static int afterLine(String text, int at) {
    int end = at;
    while (end < text.length() && text.charAt(end) != '\n' && text.charAt(end) != '\r') {
      end++;
    }
    if (end < text.length() && text.charAt(end) == '\r') {
      end++;
    }
    return end < text.length() && text.charAt(end) == '\n' ? end + 1 : end;
  }

  private static ReadCapture capture(
      byte[] bytes, Configuration c, String file, Optional<String> wanted, double scale)
      throws LogUnreadable {
    List<Warning> warnings = new ArrayList<>();
    int volts = voltsAt(c, file, wanted, warnings);
    OptionalInt amps = first(c, false, volts);
    int[] channels = amps.isPresent() ? new int[] {volts, amps.getAsInt()} : new int[] {volts};
    List<String> over = new ArrayList<>();
    for (int i = 0; i < c.analog().size(); i++) {
      if (i != volts && !(amps.isPresent() && amps.getAsInt() == i)) {
        over.add(c.analog().get(i).name());
      }
    }
    if (!over.isEmpty()) {
      warnings.add(new Warning("unknown_column", "Passed over: " + String.join(", ", over) + "."));
    }
    SampleData data = SampleData.of(bytes, c, channels, file);
    AnalogChannel v = c.analog().get(volts);
    if (v.inSecondary() && v.ratio() != 1) {
      warnings.add(
          new Warning(
              "ratio_applied",
              "The record holds volts behind a transformer; they are multiplied by its ratio of "
                  + Figures.plain(v.primary())
                  + " to "
                  + Figures.plain(v.secondary())
                  + "."));
    }
    if (data.size() < c.samples()) {
      warnings.add(
          new Warning(
              "cut_short",
              "The configuration names "
                  + Figures.plain((double) c.samples())
                  + " samples; "
                  + Figures.plain(data.size())
                  + " are there."));
    }
    double[] values = values(data, 0, v, file);
    for (int i = 0; i < values.length; i++) {
      values[i] *= scale;
    }
    double rate = rate(c, data, file);
    return new ReadCapture(
        amps.isEmpty()
            ? Capture.of(rate, values)
            : Capture.of(rate, values, values(data, 1, c.analog().get(amps.getAsInt()), file)),
        warnings);
  }

  private static double[] values(SampleData data, int k, AnalogChannel channel, String file)
      throws LogUnreadable {
    double[] values = new double[data.size()];
    for (int i = 0; i < values.length; i++) {
      values[i] = channel.value(data.number(k, i));
      if (!Double.isFinite(values[i])) {
        throw new LogUnreadable(
            file
                + ": sample "
                + (i + 1)
                + " of “"
                + channel.name()
                + "” is missing. A capture has to be whole.");
      }
    }
    return values;
  }

  private static int voltsAt(
      Configuration c, String file, Optional<String> wanted, List<Warning> warnings)
      throws LogUnreadable {
    if (c.analog().isEmpty()) {
      throw new LogUnreadable(file + ": the record has no analog channel.");
    }
    if (wanted.isPresent()) {
      for (int i = 0; i < c.analog().size(); i++) {
        if (c.analog().get(i).name().equalsIgnoreCase(wanted.get().strip())) {
          return i;
        }
      }
      throw new LogUnreadable(
          file
              + " has no channel “"
              + wanted.get()
              + "”; it has "
              + String.join(", ", c.analog().stream().map(AnalogChannel::name).toList())
              + ".");
    }
    OptionalInt found = first(c, true, -1);
    if (found.isEmpty()) {
      warnings.add(
          new Warning(
              "volts_assumed",
              "No channel is in volts; “" + c.analog().get(0).name() + "” is taken for them."));
    }
    return found.orElse(0);
  }

  private static OptionalInt first(Configuration c, boolean volts, int but) {
    for (int i = 0; i < c.analog().size(); i++) {
      AnalogChannel channel = c.analog().get(i);
      if (i != but && (volts ? channel.volts() : channel.amps())) {
        return OptionalInt.of(i);
      }
    }
    return OptionalInt.empty();
  }

  /** Samples a second: as the configuration says, else by the time stamps. */
  private static double rate(Configuration c, SampleData data, String file) throws LogUnreadable {
    if (c.severalRates()) {
      throw new LogUnreadable(
          file + " changes its sampling rate on the way. Save a part with one rate.");
    }
    if (c.perSecond() > 0 || data.size() < 2) {
      return c.perSecond() > 0 ? c.perSecond() : 1;
    }
    double step =
        (data.stamp(data.size() - 1) - data.stamp(0)) / (data.size() - 1) * c.stampSeconds();
    if (!(step > 0)) {
      throw new LogUnreadable(file + " names no sampling rate and its time stamps stand still.");
    }
    for (int i = 1; i < data.size(); i++) {
      double each = (data.stamp(i) - data.stamp(i - 1)) * c.stampSeconds();
      if (!(Math.abs(each - step) <= 2 * step + 2 * c.stampSeconds())) {
        throw new LogUnreadable(
            file
                + " has a hole or a jump in its time near sample "
                + (i + 1)
                + ". A capture has evenly spaced samples.");
      }
    }
    return 1 / step;
  }
}
