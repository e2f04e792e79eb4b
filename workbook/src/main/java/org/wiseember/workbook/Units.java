package org.wiseember.workbook;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;

/** The units of a workbook and their labels. Old labels are kept, so every edit can be undone. */
public final class Units {
  private final Workbook workbook;

  Units(Workbook workbook) {
    this.workbook = workbook;
  }

  private static final String SELECT =
      "SELECT u.id, u.name, l.text, l.by_hand, u.origin FROM unit u LEFT JOIN label l ON l.id ="
          + " (SELECT max(id) FROM label WHERE unit_id = u.id) WHERE u.removed = ";

  /** All units on the shelf, in the order they were added. */
  public List<TestedUnit> all() {
    return workbook.query(SELECT + "0 ORDER BY u.id", s -> {}, Units::read);
  }

  /** Those that were taken off the shelf. */
  public List<TestedUnit> off() {
    return workbook.query(SELECT + "1 ORDER BY u.id", s -> {}, Units::read);
  }

  public Optional<TestedUnit> byId(long id) {
    return workbook.query(SELECT + "0 AND u.id = ?", s -> s.setLong(1, id), Units::read).stream()
        .findFirst();
  }

  private static TestedUnit read(java.sql.ResultSet row) throws java.sql.SQLException {
    String text = row.getString(3);
    String byHand = row.getString(4);
    return new TestedUnit(
        row.getLong(1),
        row.getString(2),
        text == null ? "" : text,
        byHand == null ? "[]" : byHand,
        row.getString(5));
  }

  /** Adds a unit with an empty label. */
  public TestedUnit add(String name) {
    long id =
        workbook.update(
            "INSERT INTO unit (name, created_at) VALUES (?, ?)",
            s -> {
              s.setString(1, name);
              s.setString(2, workbook.clock().instant().toString());
            });
    return new TestedUnit(id, name, Label.read(""));
  }

  public void rename(long id, String name) {
    workbook.update(
        "UPDATE unit SET name = ? WHERE id = ?",
        s -> {
          s.setString(1, name);
          s.setLong(2, id);
        });
  }

  /** What is known of the very unit. */
  public UnitFacts facts(long id) {
    return workbook
        .query(
            "SELECT serial, firmware, obtained, obtained_on, price, currency FROM unit"
                + " WHERE id = ?",
            s -> s.setLong(1, id),
            r ->
                new UnitFacts(
                    r.getString(1),
                    r.getString(2),
                    r.getString(3),
                    Dates.read(r.getString(4)),
                    Numbers.orNaN(r, 5),
                    r.getString(6)))
        .stream()
        .findFirst()
        .orElse(UnitFacts.NONE);
  }

  public void facts(long id, UnitFacts facts) {
    workbook.update(
        "UPDATE unit SET serial = ?, firmware = ?, obtained = ?, obtained_on = ?, price = ?,"
            + " currency = ? WHERE id = ?",
        s -> {
          s.setString(1, facts.serial());
          s.setString(2, facts.firmware());
          s.setString(3, facts.obtained());
          s.setString(4, Dates.write(facts.obtainedOn()));
          Numbers.set(s, 5, facts.price());
          s.setString(6, facts.currency());
          s.setLong(7, id);
        });
  }

  /** Takes a unit off the shelf; its runs and labels stay in the file. */
  public void remove(long id) {
    removed(id, 1);
  }

  /** Puts a unit back that was taken off. */
  public void putBack(long id) {
    removed(id, 0);
  }

  private void removed(long id, int flag) {
    workbook.update(
        "UPDATE unit SET removed = ? WHERE id = ?",
        s -> {
          s.setInt(1, flag);
          s.setLong(2, id);
        });
  }

  /** Marks a unit as somebody else's: from now on nothing is added to it. */
  public void origin(long id, Origin origin) {
    workbook.update(
        "UPDATE unit SET origin = ? WHERE id = ?",
        s -> {
          s.setString(1, origin.json());
          s.setLong(2, id);
        });
  }

  /**
   * Looks whether something of one's own may be added to a unit.
   *
   * @throws WorkbookException in one sentence where it is somebody else's
   */
  void mustBeOwn(long id) {
    boolean theirs =
        !workbook
            .query(
                "SELECT 1 FROM unit WHERE id = ? AND origin <> ''",
                s -> s.setLong(1, id),
                r -> r.getInt(1))
            .isEmpty();
    if (theirs) {
      throw new WorkbookException(Origin.NOT_YOURS);
    }
  }

  /** Saves a label; the one before stays in the file. */
  public Label label(long id, String text, List<Claim> byHand) {
    mustBeOwn(id);
    workbook.update(
        "INSERT INTO label (unit_id, text, by_hand, saved_at) VALUES (?, ?, ?, ?)",
        s -> {
          s.setLong(1, id);
          s.setString(2, text);
          s.setString(3, ClaimJson.write(byHand));
          s.setString(4, workbook.clock().instant().toString());
        });
    return Label.read(text, byHand);
  }
}
