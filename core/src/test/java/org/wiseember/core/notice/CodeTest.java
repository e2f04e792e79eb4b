package org.wiseember.core.notice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.expectThrows;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Warning;

/** Warnings and notices are spelled one way, or scripts have to know two. */
public class CodeTest {
  @DataProvider
  public Object[][] good() {
    return new Object[][] {{"gap"}, {"cut_off"}, {"start_sagged"}, {"no_dc_current"}, {"at_0_2_c"}};
  }

  @DataProvider
  public Object[][] bad() {
    return new Object[][] {
      {""},
      {"cut-off"},
      {"Gap"},
      {"start_SAGGED"},
      {"_gap"},
      {"gap_"},
      {"two words"},
      {"a__b"},
      {"1st"}
    };
  }

  @Test(dataProvider = "good")
  public void isTaken(String code) {
    assertEquals(Code.spelled(code), code);
    assertEquals(new Notice(3, code, "Something.").detail(), "");
    assertEquals(new Warning(code, "Something.").code(), code);
  }

  @Test(dataProvider = "bad")
  public void isRefused(String code) {
    String why =
        expectThrows(IllegalArgumentException.class, () -> Code.spelled(code)).getMessage();
    assertEquals(why, "“" + code + "” is not spelled as codes are");
    expectThrows(IllegalArgumentException.class, () -> new Notice(0, code, "Something."));
    expectThrows(IllegalArgumentException.class, () -> new Warning(code, "Something."));
  }
}
