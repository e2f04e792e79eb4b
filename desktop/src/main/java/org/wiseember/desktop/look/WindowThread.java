package org.wiseember.desktop.look;

import javafx.application.Platform;
import org.wiseember.desktop.model.Screen;

/** The thread of the toolkit. */
public final class WindowThread implements Screen {
  @Override
  public boolean here() {
    return Platform.isFxApplicationThread();
  }

  @Override
  public void later(Runnable change) {
    Platform.runLater(change);
  }
}
