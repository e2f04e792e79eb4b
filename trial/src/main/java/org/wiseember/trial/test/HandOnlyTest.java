package org.wiseember.trial.test;

/** A test that is made by hand alone and stands in no log. */
public interface HandOnlyTest extends TestType {
  @Override
  default boolean byHandOnly() {
    return true;
  }

  @Override
  default boolean inLogs() {
    return false;
  }
}
