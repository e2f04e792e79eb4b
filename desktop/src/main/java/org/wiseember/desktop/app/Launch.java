package org.wiseember.desktop.app;

import javafx.application.Application;

/** Starts the window. Arguments: a workbook, none for one's own. */
public final class Launch {
  private Launch() {}

  /** Starts the window. */
  public static void main(String[] args) {
    Application.launch(EmberApp.class, args);
  }
}
