package org.wiseember.workbook;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.wiseember.core.runtime.Day;
import org.wiseember.workbook.day.DayJson;
import org.wiseember.workbook.strict.JsonUnreadable;

/** The days that were laid out; see docs/formats.md. */
public final class Days {
  private final Workbook workbook;

  Days(Workbook workbook) {
    this.workbook = workbook;
  }

  /**
   * What is kept.
   *
   * @param days in the order they were added
   * @param wrong a sentence for each that cannot be read; it stays in the file as it is
   */
  public record All(List<StoredDay> days, List<String> wrong) {
    public All {
      days = List.copyOf(days);
      wrong = List.copyOf(wrong);
    }
  }

  /** All that were not taken away. */
  public All all() {
    List<StoredDay> days = new ArrayList<>();
    List<String> wrong = new ArrayList<>();
    record Row(long id, String plan, String units) {}
    for (Row row :
        workbook.query(
            "SELECT id, plan, units FROM day WHERE removed = 0 ORDER BY id",
            s -> {},
            r ->
                new Row(
                    r.getLong(1),
                    String.valueOf(r.getString(2)),
                    String.valueOf(r.getString(3))))) {
      try {
        days.add(new StoredDay(row.id(), DayJson.read(row.plan()).day(), keys(row.units())));
      } catch (JsonUnreadable damaged) {
        wrong.add(
            "A day kept in the workbook cannot be read and is left as it is: "
                + damaged.getMessage());
      }
    }
    return new All(days, wrong);
  }

  private static List<Long> keys(String listed) {
    return Arrays.stream(listed.split(","))
        .filter(k -> k.matches("\\d{1,18}"))
        .map(Long::valueOf)
        .toList();
  }

  public StoredDay add(Day day, List<Long> units) {
    long id =
        workbook.update(
            "INSERT INTO day (plan, units) VALUES (?, ?)",
            s -> {
              s.setString(1, DayJson.write(day, Optional.empty()));
              s.setString(2, listed(units));
            });
    return new StoredDay(id, day, units);
  }

  /** Keeps a day as it is now. */
  public void keep(StoredDay day) {
    workbook.update(
        "UPDATE day SET plan = ?, units = ? WHERE id = ?",
        s -> {
          s.setString(1, DayJson.write(day.day(), Optional.empty()));
          s.setString(2, listed(day.units()));
          s.setLong(3, day.id());
        });
  }

  /** Takes one away or puts it back. */
  public void removed(long id, boolean away) {
    workbook.update(
        "UPDATE day SET removed = ? WHERE id = ?",
        s -> {
          s.setBoolean(1, away);
          s.setLong(2, id);
        });
  }

  private static String listed(List<Long> units) {
    return units.stream().map(String::valueOf).collect(Collectors.joining(","));
  }
}
