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
  private Session desk;

  @Override
  public void start(Stage stage) {
    List<String> args = getParameters().getRaw();
    Look.loadFaces();
    desk = new Session(Clock.systemUTC(), new WindowThread(), from -> clock);
    Scene scene = new Scene(new MainWindow(desk), 1280, 800);
    scene.getStylesheets().add(Look.styleSheet());
    stage.setScene(scene);
    stage.show();
    desk.open(Path.of(args.get(1)));
    Screenshots.take(desk, clock, scene, Path.of(args.get(0)), Platform::exit);
  }

  @Override
  public void stop() {
    desk.close();
  }
}
