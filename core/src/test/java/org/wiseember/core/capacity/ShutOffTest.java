package org.wiseember.core.capacity;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Notes testers make when a unit shuts off; wordings are invented. */
public class ShutOffTest {
  @DataProvider
  Object[][] notes() {
    return new Object[][] {
      {"The unit shows E02 low volts on one cell.", ShutOff.LOW_CELL, true},
      {"cell 7 at 2.61", ShutOff.LOW_CELL, true},
      {"undervoltage lamp", ShutOff.LOW_CELL, true},
      {"The unit shows E05 battery too hot.", ShutOff.HEAT, false},
      {"cell temperature warning", ShutOff.HEAT, false},
      {"over-load, red triangle", ShutOff.OVERLOAD, false},
      {"The unit shows E01 battery empty.", null, false},
      {"excellent fan, barely audible", null, false},
      {"what a shot", null, false},
    };
  }

  @Test(dataProvider = "notes")
  public void whatItSaid(String note, ShutOff expected, boolean counts) {
    assertEquals(ShutOff.in(List.of("fan up", note)), Optional.ofNullable(expected));
    if (expected != null) {
      assertEquals(expected.ownLimit(), counts);
      assertEquals(expected.warning().code(), "shut_off");
    }
  }
}
