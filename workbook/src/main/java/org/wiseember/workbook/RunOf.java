package org.wiseember.workbook;

import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Types;

/**
 * What a run is of: a unit of the shelf, or another subject, of which one is 0.
 *
 * @param unitId key of the unit; 0 where it is of another subject
 * @param subjectId key of the subject; 0 where it is of a unit
 */
public record RunOf(long unitId, long subjectId) {
  public RunOf {
    if ((unitId == 0) == (subjectId == 0)) {
      throw new IllegalArgumentException("a run is of a unit or of another subject");
    }
  }

  public static RunOf unit(long id) {
    return new RunOf(id, 0);
  }

  public static RunOf subject(long id) {
    return new RunOf(0, id);
  }

  void into(PreparedStatement statement, int column) throws SQLException {
    key(statement, column, unitId);
    key(statement, column + 1, subjectId);
  }

  private static void key(PreparedStatement statement, int column, long id) throws SQLException {
    if (id == 0) {
      statement.setNull(column, Types.INTEGER);
    } else {
      statement.setLong(column, id);
    }
  }
}
