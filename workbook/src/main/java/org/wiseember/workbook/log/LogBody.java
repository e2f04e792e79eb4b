package org.wiseember.workbook.log;

import de.siegmar.fastcsv.reader.AbstractBaseCsvCallbackHandler;
import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Plausible;

/**
 * Takes the cells of a log as the CSV reader finds them and makes columns of numbers, without a
 * string for each cell. Wrong cells do not throw here, inside the reader: the first one is kept and
 * the caller looks at it after each row.
 */
final class LogBody extends AbstractBaseCsvCallbackHandler<LogBody> {
  private final LogMapping mapping;
  private final List<String> headings;
  private final LogColumn[] columns;
  private final int[] targetOf;
  private final char comma;
  private final int headingLine;
  private final boolean[] converted;
  private final Plausible.Range[] ranges;
  private final int[] noReading;
  private final double[] firstWithout;
  private double[] seconds = new double[4096];
  private int[] rowOf = new int[4096];
  private double[][] values;
  private int size;
  private int repeated;
  private int fields;
  private boolean blank;
  private boolean timeSeen;
  private double time;
  private String date = "";
  private String clock = "";
  private boolean commaSeen;
  private boolean localStamps;
  private LogUnreadable failure;
  private boolean quotes;

  LogBody(LogMapping mapping, List<String> headings, int headingLine, List<LogColumn> columns) {
    this.headingLine = headingLine;
    this.mapping = mapping;
    this.headings = headings;
    this.columns = columns.toArray(LogColumn[]::new);
    this.comma = mapping.decimalComma() ? ',' : '.';
    this.targetOf = new int[headings.size()];
    Arrays.fill(targetOf, -1);
    for (int i = 0; i < mapping.uses().size(); i++) {
      targetOf[mapping.uses().get(i).column()] = i;
    }
    this.converted = new boolean[columns.size()];
    for (int c = 0; c < converted.length; c++) {
      converted[c] = columns.get(c).factor() != 1 || columns.get(c).offset() != 0;
    }
    this.values = new double[columns.size()][4096];
    this.ranges =
        columns.stream().map(c -> Plausible.of(c.channel())).toArray(Plausible.Range[]::new);
    this.noReading = new int[columns.size()];
    this.firstWithout = new double[columns.size()];
  }

  @Override
  protected void handleBegin(long line) {
    fields = 0;
    blank = true;
    timeSeen = false;
    date = "";
    clock = "";
    if (size == seconds.length) {
      grow();
    }
    for (double[] column : values) {
      column[size] = Double.NaN;
    }
  }

  @Override
  protected void handleField(int index, char[] buf, int offset, int len, boolean quoted) {
    fields++;
    quotes |= quoted;
    int from = offset;
    int to = offset + len;
    while (from < to && buf[from] <= ' ') {
      from++;
    }
    while (to > from && buf[to - 1] <= ' ') {
      to--;
    }
    if (from == to || failure != null) {
      return;
    }
    blank = false;
    if (index == mapping.timeColumn()) {
      takeTime(buf, from, to - from);
    } else if (index == mapping.dateColumn()) {
      date = new String(buf, from, to - from);
    } else if (index < targetOf.length && targetOf[index] >= 0) {
      int target = targetOf[index];
      double value = number(buf, from, to - from, index);
      values[target][size] = reading(target, value);
    }
  }

  /** A number in the unit of its channel; missing where no meter shows that. */
  private double reading(int target, double number) {
    double value =
        converted[target] ? number * columns[target].factor() + columns[target].offset() : number;
    if (ranges[target].holds(value) || Double.isNaN(number)) {
      return value;
    }
    if (noReading[target] == 0) {
      firstWithout[target] = number;
    }
    noReading[target]++;
    return Double.NaN;
  }

  private void takeTime(char[] buf, int offset, int length) {
    timeSeen = true;
    if (mapping.timeForm().number()) {
      time = number(buf, offset, length, mapping.timeColumn()) * mapping.timeForm().factor();
    } else {
      clock = new String(buf, offset, length);
    }
  }

  private double number(char[] buf, int offset, int length, int column) {
    double value = Decimal.parse(buf, offset, length, comma);
    if (Double.isNaN(value)) {
      fail(
          column,
          new String(buf, offset, length),
          "is not a number; correct that cell or leave it empty");
    } else if (comma == ',' && !commaSeen) {
      for (int i = offset; i < offset + length; i++) {
        commaSeen |= buf[i] == ',';
      }
    }
    return value;
  }

  private void fail(int column, String cell, String why) {
    failure =
        new LogUnreadable(
            "row "
                + line()
                + ", column “"
                + headings.get(column).strip()
                + "”: “"
                + shortened(cell)
                + "” "
                + why);
  }

  /** The reader began below the headings; rows are counted from the top of the file. */
  private long line() {
    return headingLine + getStartingLineNumber();
  }

  private static String shortened(String cell) {
    String one = cell.strip().replaceAll("\\s+", " ");
    return one.length() > 40 ? one.substring(0, 40) + "…" : one;
  }

  @Override
  protected LogBody buildRecord() {
    if (failure != null || (blank && fields <= 1)) {
      return this;
    }
    long line = line();
    if (fields > headings.size()) {
      failure =
          new LogUnreadable(
              "row "
                  + line
                  + " has "
                  + fields
                  + " cells under "
                  + headings.size()
                  + " headings; correct that row");
      return this;
    }
    if (!timeSeen) {
      failure = new LogUnreadable("row " + line + " has no time; fill it in or take the row out");
      return this;
    }
    if (!mapping.timeForm().number() && !takeStamp()) {
      return this;
    }
    if (size == LogCsv.MOST_ROWS) {
      failure = new LogUnreadable("more than 12 million rows; split the file");
      return this;
    }
    seconds[size] = time;
    rowOf[size] = (int) Math.min(Integer.MAX_VALUE, line);
    if (size > 0 && time == seconds[size - 1] && sameRow()) {
      repeated++;
    } else {
      size++;
    }
    return this;
  }

  private boolean takeStamp() {
    String text = date.isEmpty() ? clock : date + " " + clock;
    try {
      TimeForm.Moment moment = mapping.timeForm().moment(text);
      time = moment.seconds();
      localStamps |= moment.local();
      return true;
    } catch (DateTimeException e) {
      fail(
          mapping.timeColumn(),
          text,
          "is not a date and time; use one such as 2026-05-01T18:00:00+02:00");
      return false;
    }
  }

  private boolean sameRow() {
    for (double[] column : values) {
      if (Double.compare(column[size], column[size - 1]) != 0) {
        return false;
      }
    }
    return true;
  }

  /** Makes room beforehand for about so many rows. */
  void expect(int rows) {
    if (rows > seconds.length) {
      resize(rows);
    }
  }

  private void grow() {
    resize(seconds.length * 2);
  }

  private void resize(int more) {
    seconds = Arrays.copyOf(seconds, more);
    rowOf = Arrays.copyOf(rowOf, more);
    for (int c = 0; c < values.length; c++) {
      values[c] = Arrays.copyOf(values[c], more);
    }
  }

  /** Whether any cell stood in quotes. */
  boolean quotes() {
    return quotes;
  }

  /** Takes the rows of the part that follows this one. */
  void append(LogBody next) {
    int skip = next.size > 0 && endsAs(next) ? 1 : 0;
    int more = next.size - skip;
    expect(size + more);
    System.arraycopy(next.seconds, skip, seconds, size, more);
    System.arraycopy(next.rowOf, skip, rowOf, size, more);
    for (int c = 0; c < values.length; c++) {
      System.arraycopy(next.values[c], skip, values[c], size, more);
    }
    for (int c = 0; c < noReading.length; c++) {
      firstWithout[c] = noReading[c] == 0 ? next.firstWithout[c] : firstWithout[c];
      noReading[c] += next.noReading[c];
    }
    size += more;
    repeated += next.repeated + skip;
    commaSeen |= next.commaSeen;
    localStamps |= next.localStamps;
  }

  private boolean endsAs(LogBody next) {
    boolean same = seconds[size - 1] == next.seconds[0];
    for (int c = 0; c < values.length && same; c++) {
      same = Double.compare(values[c][size - 1], next.values[c][0]) == 0;
    }
    return same;
  }

  /** What was said of cells whose number is no reading, a sentence a column. */
  List<String> noReadings() {
    List<String> said = new ArrayList<>();
    for (int c = 0; c < noReading.length; c++) {
      if (noReading[c] > 0) {
        said.add(
            (noReading[c] == 1 ? "One cell" : Figures.plain(noReading[c]) + " cells")
                + " of “"
                + headings.get(mapping.uses().get(c).column()).strip()
                + "” "
                + (noReading[c] == 1 ? "holds" : "hold")
                + " a number no meter shows (the first: "
                + firstWithout[c]
                + "); that counts as a missing reading.");
      }
    }
    return said;
  }

  /** The first thing that is wrong; null while all is well. */
  LogUnreadable failure() {
    return failure;
  }

  int size() {
    return size;
  }

  int repeated() {
    return repeated;
  }

  boolean commaSeen() {
    return commaSeen;
  }

  boolean localStamps() {
    return localStamps;
  }

  double[] seconds() {
    return Arrays.copyOf(seconds, size);
  }

  int[] rows() {
    return rowOf;
  }

  double[] column(int i) {
    return Arrays.copyOf(values[i], size);
  }
}
