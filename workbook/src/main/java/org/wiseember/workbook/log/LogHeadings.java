package org.wiseember.workbook.log;

import de.siegmar.fastcsv.reader.CsvReader;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;

/** Headings by the program's own names, {@code ac_power [W]}. */
final class LogHeadings {
  private static final int MOST_COLUMNS = 1_000;

  private LogHeadings() {}

  /** What parts the columns, told by the headings. */
  static char separator(String heading, List<Warning> warnings) {
    for (char candidate : new char[] {';', '\t'}) {
      if (heading.indexOf(candidate) >= 0 && heading.indexOf(',') < 0) {
        warnings.add(
            candidate == ';'
                ? new Warning("semicolons", "Columns are separated by semicolons.")
                : new Warning("tabs", "Columns are separated by tabs."));
        return candidate;
      }
    }
    return ',';
  }

  /** The cells of one line. */
  static List<String> cells(String line, char separator) {
    return CsvReader.builder()
        .fieldSeparator(separator)
        .allowUnclosedQuote(false)
        .ofSingleCsvRecord(line)
        .getFields();
  }

  /**
   * The mapping the headings ask for.
   *
   * @param ahead text of the rows that follow, to see whether their time is a stamp
   */
  static LogMapping mapping(
      List<String> headings, char separator, String ahead, List<Warning> warnings)
      throws LogUnreadable {
    if (headings.size() > MOST_COLUMNS) {
      throw new LogUnreadable("row 1 heads more than 1 000 columns, so it is no log's heading");
    }
    int timeAt = -1;
    List<LogMapping.Use> uses = new ArrayList<>();
    Set<Channel> seen = EnumSet.noneOf(Channel.class);
    for (int i = 0; i < headings.size(); i++) {
      String heading = headings.get(i);
      if (LogColumn.isTime(heading)) {
        timeAt = timeAt < 0 ? i : timeAt;
        continue;
      }
      Optional<LogColumn> column = LogColumn.of(heading);
      if (column.isEmpty()) {
        if (!heading.isBlank()) {
          warnings.add(
              new Warning("unknown_column", "Column “" + heading.strip() + "” is not used."));
        }
        continue;
      }
      if (!seen.add(column.get().channel())) {
        throw new LogUnreadable("column “" + heading.strip() + "” is there twice; keep one");
      }
      if (column.get().converted()) {
        warnings.add(
            new Warning(
                "unit_converted",
                "Column “"
                    + heading.strip()
                    + "” is turned into "
                    + column.get().channel().unit().symbol()
                    + "."));
      }
      uses.add(new LogMapping.Use(i, column.get().channel(), LogColumn.unit(heading)));
    }
    if (timeAt < 0) {
      throw new LogUnreadable(
          "no column is headed “time”, so row 1 is not a log's heading; add one such as"
              + " “time [s]”");
    }
    if (uses.isEmpty()) {
      throw new LogUnreadable("no column but the time is known; head them as in “ac_power [W]”");
    }
    TimeForm form = timeForm(headings.get(timeAt), timeAt, separator, ahead, warnings);
    return new LogMapping(1, separator, separator != ',', timeAt, -1, form, uses);
  }

  private static TimeForm timeForm(
      String heading, int column, char separator, String ahead, List<Warning> warnings)
      throws LogUnreadable {
    String unit = LogColumn.unit(heading);
    TimeForm form =
        switch (unit) {
          case "", "s" -> TimeForm.SECONDS;
          case "ms" -> TimeForm.MILLISECONDS;
          case "min" -> TimeForm.MINUTES;
          case "h" -> TimeForm.HOURS;
          default ->
              throw new LogUnreadable(
                  "column “" + heading.strip() + "” has a unit that is no time; use s, min or h");
        };
    if (form != TimeForm.SECONDS) {
      warnings.add(
          new Warning("unit_converted", "Time is read in " + unit + " and turned into seconds."));
    }
    String[] cells = ahead.lines().findFirst().orElse("").split(String.valueOf(separator), -1);
    String cell = column < cells.length ? cells[column].replace("\"", "").strip() : "";
    boolean stamp = unit.isEmpty() && cell.length() >= 10 && cell.indexOf('-', 1) > 0;
    return stamp ? TimeForm.ISO : form;
  }
}
