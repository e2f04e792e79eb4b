package org.wiseember.workbook.comtrade;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A second reader of COMTRADE, which takes nothing but what the standard's list of fields allows
 * and shares no code with the one under test. IEEE C37.111-1999 and -2013, recalled from memory.
 */
final class StrictReader {
  private static final Pattern DATE =
      Pattern.compile("\\d{2}/\\d{2}/\\d{4},\\d{2}:\\d{2}:\\d{2}\\.\\d{6,9}");

  private StrictReader() {}

  record Recorded(double perSecond, double[][] values, List<String> units) {}

  static Recorded read(Path configuration) throws IOException {
    String all = Files.readString(configuration);
    require(all.endsWith("\r\n"), "lines end with CR LF");
    String[] lines = all.split("\r\n");
    String[] station = lines[0].split(",", -1);
    require(station.length == 3, "station, device, revision");
    require(station[0].length() <= 64 && station[1].length() <= 64, "names of up to 64 signs");
    boolean later = station[2].equals("2013");
    require(later || station[2].equals("1999"), "a revision");
    String[] counts = lines[1].split(",", -1);
    int analog = Integer.parseInt(counts[1].replaceAll("A$", ""));
    int digital = Integer.parseInt(counts[2].replaceAll("D$", ""));
    require(Integer.parseInt(counts[0]) == analog + digital, "all channels are counted");
    double[] a = new double[analog];
    double[] b = new double[analog];
    String[] units = new String[analog];
    for (int i = 0; i < analog; i++) {
      String[] c = lines[2 + i].split(",", -1);
      require(c.length == 13, "thirteen fields a channel");
      require(Integer.parseInt(c[0]) == i + 1, "channels in order");
      units[i] = c[4];
      a[i] = Double.parseDouble(c[5]);
      b[i] = Double.parseDouble(c[6]);
      require(Double.parseDouble(c[8]) < Double.parseDouble(c[9]), "least below most");
      require(c[12].equals("P") || c[12].equals("S"), "P or S");
    }
    int at = 2 + analog + digital;
    double lineFrequency = Double.parseDouble(lines[at]);
    require(lineFrequency > 0, "line frequency");
    require(lines[at + 1].equals("1"), "one rate");
    String[] rate = lines[at + 2].split(",", -1);
    int n = Integer.parseInt(rate[1]);
    require(DATE.matcher(lines[at + 3]).matches(), "a first time");
    require(DATE.matcher(lines[at + 4]).matches(), "a trigger time");
    String format = lines[at + 5];
    require(Double.parseDouble(lines[at + 6]) > 0, "a multiplier");
    require(lines.length == at + (later ? 9 : 7), "no line too many");
    require(later || format.equals("ASCII") || format.equals("BINARY"), "1999 knows two formats");
    Path data =
        configuration.resolveSibling(
            configuration.getFileName().toString().replaceAll("cfg$", "dat"));
    double[][] values = new double[analog][n];
    if (format.equals("ASCII")) {
      List<String> rows = Files.readAllLines(data);
      require(rows.size() == n, "as many rows as samples");
      for (int i = 0; i < n; i++) {
        String[] cells = rows.get(i).split(",", -1);
        require(cells.length == 2 + analog + digital, "a cell a channel");
        require(Integer.parseInt(cells[0]) == i + 1, "rows are numbered");
        for (int k = 0; k < analog; k++) {
          int number = Integer.parseInt(cells[2 + k]);
          require(number >= -99_999 && number <= 99_998, "five digits");
          values[k][i] = a[k] * number + b[k];
        }
      }
      return new Recorded(Double.parseDouble(rate[0]), values, List.of(units));
    }
    int each = format.equals("BINARY") ? 2 : 4;
    byte[] bytes = Files.readAllBytes(data);
    require(bytes.length == n * (8 + each * analog + 2 * ((digital + 15) / 16)), "whole records");
    ByteBuffer buffer = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    for (int i = 0; i < n; i++) {
      require(buffer.getInt() == i + 1, "records are numbered");
      buffer.getInt();
      for (int k = 0; k < analog; k++) {
        double number =
            switch (format) {
              case "BINARY" -> buffer.getShort();
              case "BINARY32" -> buffer.getInt();
              case "FLOAT32" -> buffer.getFloat();
              default -> throw new IOException("no format " + format);
            };
        values[k][i] = a[k] * number + b[k];
      }
    }
    return new Recorded(Double.parseDouble(rate[0]), values, List.of(units));
  }

  private static void require(boolean holds, String what) throws IOException {
    if (!holds) {
      throw new IOException("not by the standard: " + what);
    }
  }
}
