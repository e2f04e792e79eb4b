package org.wiseember.desktop.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.logging.FileHandler;
import java.util.logging.LogManager;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import org.wiseember.desktop.frame.MainWindow;
import org.wiseember.desktop.look.Look;

/** The application. */
public final class EmberApp extends Application {
  private Desk desk;

  @Override
  public void start(Stage stage) {
    List<String> args = getParameters().getRaw();
    boolean shots = args.size() >= 3 && args.get(0).equals("--screenshots");
    Path file = Path.of(args.get(args.size() - 1));
    logBeside(file);
    Look.loadFaces();
    desk = new Desk(Clock.systemUTC());
    MainWindow window = new MainWindow(desk);
    Scene scene = new Scene(window, 1280, 800);
    scene.getStylesheets().add(Look.styleSheet());
    stage.setTitle("Wise Ember");
    desk.title().addListener((o, was, is) -> stage.setTitle("Wise Ember, " + is));
    stage.setMinWidth(900);
    stage.setMinHeight(600);
    stage.setScene(scene);
    stage.show();
    desk.open(file);
    reportStart();
    if (shots) {
      Screenshots.take(desk, scene, Path.of(args.get(1)), Platform::exit);
    }
  }

  /**
   * With -Dember.start, prints the time from the start of the process to the first usable window.
   */
  private void reportStart() {
    if (System.getProperty("ember.start") == null) {
      return;
    }
    desk.chosen()
        .addListener(
            (o, was, is) ->
                Platform.runLater(
                    () ->
                        Platform.runLater(
                            () -> {
                              long started =
                                  ProcessHandle.current()
                                      .info()
                                      .startInstant()
                                      .orElseThrow()
                                      .toEpochMilli();
                              long now = Clock.systemUTC().millis();
                              System.out.println("usable after ms: " + (now - started));
                              if (System.getProperty("ember.start").equals("exit")) {
                                Platform.exit();
                              }
                            })));
  }

  /** What goes wrong is written beside the workbook; the console stays quiet. */
  private static void logBeside(Path file) {
    try {
      LogManager.getLogManager().reset();
      Path log = file.toAbsolutePath().resolveSibling(file.getFileName() + ".log");
      FileHandler handler = new FileHandler(log.toString().replace("%", "%%"), 1 << 20, 1, true);
      handler.setFormatter(new SimpleFormatter());
      Logger.getLogger("").addHandler(handler);
    } catch (IOException | UncheckedIOException e) {
      // Without a log the program works all the same.
      LogManager.getLogManager().reset();
    }
  }

  @Override
  public void stop() {
    desk.close();
  }
}
