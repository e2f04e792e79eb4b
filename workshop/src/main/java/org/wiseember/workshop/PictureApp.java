package org.wiseember.workshop;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import org.wiseember.desktop.frame.MainWindow;
import org.wiseember.desktop.look.Look;
import org.wiseember.desktop.look.WindowThread;
import org.wiseember.desktop.model.Session;

/** The window as it has its pictures taken: nothing of the user's, and a clock that is set. */
public final class PictureApp extends Application {
  private final PictureClock clock = new PictureClock();
  private Session session;

  @Override
  public void start(Stage stage) {
    List<String> args = getParameters().getRaw();
    Look.loadFaces();
    session =
        new Session(Clock.systemUTC(), new WindowThread(), from -> clock).withoutLookingThrough();
    Scene scene = new Scene(new MainWindow(session), 1280, 800);
    scene.getStylesheets().add(Look.styleSheet());
    stage.setScene(scene);
    stage.show();
    session.open(Path.of(args.get(1)));
    Screenshots.take(session, clock, scene, Path.of(args.get(0)), Platform::exit);
  }

  @Override
  public void stop() {
    session.close();
  }
}
