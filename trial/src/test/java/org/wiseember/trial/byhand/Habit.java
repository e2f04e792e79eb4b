package org.wiseember.trial.byhand;

import org.testng.annotations.DataProvider;
import org.wiseember.trial.kind.TestRun;

/** How a tester keeps the notebook. */
enum Habit {
  /** Line by line while the test goes. */
  AT_ONCE {
    @Override
    TestRun worked(Tester tester) {
      return tester.worked();
    }
  },
  /** Some hours later, from memory: to the minute or to five, with moments and lines left out. */
  AFTERWARDS {
    @Override
    TestRun worked(Tester tester) {
      return tester.entered();
    }
  };

  /** What the program makes of it. */
  abstract TestRun worked(Tester tester);

  /** Both, for tests that hold for either. */
  static final class Each {
    private Each() {}

    @DataProvider
    public static Object[][] habits() {
      return new Object[][] {{AT_ONCE}, {AFTERWARDS}};
    }
  }
}
