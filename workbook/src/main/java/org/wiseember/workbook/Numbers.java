package org.wiseember.workbook;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;

/** Numbers that may be missing: NULL in a table, NaN in the program. */
final class Numbers {
  private Numbers() {}

  static double orNaN(ResultSet row, int column) throws SQLException {
    double value = row.getDouble(column);
    return row.wasNull() ? Double.NaN : value;
  }

  static void set(PreparedStatement statement, int column, double value) throws SQLException {
    if (Double.isNaN(value)) {
      statement.setNull(column, Types.REAL);
    } else {
      statement.setDouble(column, value);
    }
  }
}
