package org.wiseember.desktop.model;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;

/** What is on show: the stage, the run on it, and the run beside no unit. */
public final class Navigation {
  private final ObjectProperty<StageName> stage = new SimpleObjectProperty<>(StageName.VERDICT);
  private final ObjectProperty<Long> shownRun = new SimpleObjectProperty<>();
  private final ObjectProperty<Long> besideRun = new SimpleObjectProperty<>();

  public ObjectProperty<StageName> stage() {
    return stage;
  }

  /** The run that evidence shows; null for whichever is newest. */
  public ObjectProperty<Long> shownRun() {
    return shownRun;
  }

  /** The run of an appliance or a source that is looked at. */
  public ObjectProperty<Long> besideRun() {
    return besideRun;
  }
}
