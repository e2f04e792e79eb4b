package org.wiseember.workbook.comtrade;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.workbook.log.LogUnreadable;

/**
 * What a configuration says of the samples.
 *
 * @param analog channels in their order
 * @param digital how many digital channels stand behind them
 * @param perSecond samples a second; 0 where the time stamps tell
 * @param samples how many there are said to be
 * @param format of the samples
 * @param stampSeconds what one step of a time stamp is, s
 * @param severalRates whether it changes its rate on the way
 */
record Configuration(
    List<AnalogChannel> analog,
    int digital,
    double perSecond,
    long samples,
    DataFormat format,
    double stampSeconds,
    boolean severalRates) {
  private static final int MOST_CHANNELS = 1000;
  private static final int MOST_RATES = 1000;

  Configuration {
    analog = List.copyOf(analog);
  }

  /**
   * Reads the lines of a configuration.
   *
   * @param file named in the sentence when it cannot be read
   */
  static Configuration of(List<String> lines, String file) throws LogUnreadable {
    return new Parser(lines, file).read();
  }

  private static final class Parser {
    private final List<String> lines;
    private final String file;
    private int at;

    Parser(List<String> lines, String file) {
      this.lines = lines;
      this.file = file;
    }

    Configuration read() throws LogUnreadable {
      String[] first = cells("the station");
      boolean named2013 = first.length > 2 && first[2].equals("2013");
      String[] counts = cells("the number of channels");
      int analog = counted(counts, 'A');
      int digital = counted(counts, 'D');
      List<AnalogChannel> channels = new ArrayList<>();
      for (int i = 0; i < analog; i++) {
        channels.add(channel(i + 1));
      }
      for (int i = 0; i < digital; i++) {
        cells("digital channel " + (i + 1));
      }
      cells("the line frequency");
      int rates = (int) number(cells("the number of sampling rates")[0], 0, MOST_RATES);
      double perSecond = 0;
      long samples = 0;
      boolean several = false;
      for (int i = 0; i < Math.max(1, rates); i++) {
        String[] rate = cells("a sampling rate");
        need(rate.length >= 2, "a sampling rate and its last sample");
        double each = number(rate[0], 0, 1e12);
        several |= i > 0 && each != perSecond;
        perSecond = rates == 0 ? 0 : each;
        samples = (long) number(rate[1], 0, 1e12);
      }
      String start = line("the time of the first sample");
      line("the time of the trigger");
      DataFormat format =
          DataFormat.of(line("the data's format"))
              .orElseThrow(() -> broken("the data's format (ASCII, BINARY, BINARY32 or FLOAT32)"));
      double multiplier = at < lines.size() && !lines.get(at).isBlank() ? stamp() : 1;
      return new Configuration(
          channels,
          digital,
          perSecond,
          samples,
          format,
          multiplier * (named2013 && nanoseconds(start) ? 1e-9 : 1e-6),
          several);
    }

    /** Stamps count nanoseconds where the start is written to the nanosecond. */
    private static boolean nanoseconds(String start) {
      int point = start.lastIndexOf('.');
      return point >= 0 && start.substring(point + 1).strip().length() > 6;
    }

    private double stamp() throws LogUnreadable {
      String[] cells = cells("the time stamps' multiplier");
      double value = number(cells[0], 0, 1e12);
      return value > 0 ? value : 1;
    }

    private AnalogChannel channel(int n) throws LogUnreadable {
      String[] c = cells("analog channel " + n);
      need(c.length >= 10, "analog channel " + n);
      double primary = c.length > 10 ? number(c[10], 0, 1e12) : 1;
      double secondary = c.length > 11 ? number(c[11], 0, 1e12) : 1;
      boolean ratio = primary > 0 && secondary > 0;
      return new AnalogChannel(
          c[1].isEmpty() ? "channel " + n : c[1],
          c[4],
          number(c[5], -1e30, 1e30),
          number(c[6], -1e30, 1e30),
          ratio ? primary : 1,
          ratio ? secondary : 1,
          c.length > 12 && c[12].equalsIgnoreCase("S"));
    }

    /** {@code 4A} or {@code 4 A}. */
    private int counted(String[] cells, char kind) throws LogUnreadable {
      for (String cell : cells) {
        String c = cell.strip();
        if (!c.isEmpty() && Character.toUpperCase(c.charAt(c.length() - 1)) == kind) {
          return (int) number(c.substring(0, c.length() - 1), 0, MOST_CHANNELS);
        }
      }
      throw broken("the number of channels");
    }

    private String line(String what) throws LogUnreadable {
      if (at >= lines.size()) {
        throw broken(what);
      }
      return lines.get(at++).strip();
    }

    private String[] cells(String what) throws LogUnreadable {
      String[] cells = line(what).split(",", -1);
      for (int i = 0; i < cells.length; i++) {
        cells[i] = cells[i].strip();
      }
      return cells;
    }

    private double number(String cell, double least, double most) throws LogUnreadable {
      try {
        double value = cell.isEmpty() ? 0 : Double.parseDouble(cell.strip());
        if (value >= least && value <= most) {
          return value;
        }
      } catch (NumberFormatException e) {
        // Said below, with its line.
      }
      throw broken("the number “" + (cell.length() > 20 ? cell.substring(0, 20) : cell) + "”");
    }

    private void need(boolean fine, String what) throws LogUnreadable {
      if (!fine) {
        throw broken(what);
      }
    }

    private LogUnreadable broken(String what) {
      return new LogUnreadable(
          file
              + ", line "
              + Math.max(1, Math.min(at, lines.size()))
              + ": "
              + what
              + " cannot be read. It is no COMTRADE configuration of 1999 or 2013, or it is"
              + " damaged.");
    }
  }
}
