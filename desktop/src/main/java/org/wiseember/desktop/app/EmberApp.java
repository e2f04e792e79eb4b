package org.wiseember.desktop.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicBoolean;
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
import org.wiseember.desktop.look.WindowThread;
import org.wiseember.desktop.model.Session;

/** The application. */
public final class EmberApp extends Application {
  private final AtomicBoolean closed = new AtomicBoolean();
  private Session session;

  /** Runs before there is a window, so that the workbook is read while the window is made. */
  @Override
  public void init() {
    List<String> args = getParameters().getRaw();
    Path file = args.isEmpty() ? ownWorkbook() : Path.of(args.get(args.size() - 1));
    logBeside(file);
    session = new Session(Clock.systemUTC(), new WindowThread());
    // Told to end from outside, the program closes what it has open as it does with its window.
    Runtime.getRuntime().addShutdownHook(new Thread(this::closeOnce, "close the session"));
    Remembered.ofUser().on(session, Locale.getDefault());
    session.open(file);
    Look.loadFaces();
  }

  @Override
  public void start(Stage stage) {
    MainWindow window = new MainWindow(session);
    Scene scene = new Scene(window, 1280, 800);
    scene.getStylesheets().add(Look.styleSheet());
    stage
        .titleProperty()
        .bind(session.title().map(t -> t.isBlank() ? "Wise Ember" : "Wise Ember, " + t));
    stage.setMinWidth(900);
    stage.setMinHeight(600);
    stage.setScene(scene);
    stage.setOnCloseRequest(
        e -> {
          if (!session.bench().mayClose(stage::close)) {
            e.consume();
          }
        });
    stage.show();
    reportStart();
  }

  /** Where a person's work lies who names no file. */
  private static Path ownWorkbook() {
    return Path.of(System.getProperty("user.home"), "Wise Ember.ember");
  }

  /**
   * With -Dember.start, prints the time from -Dember.start.from (ms) to the first usable window.
   */
  private void reportStart() {
    if (System.getProperty("ember.start") == null) {
      return;
    }
    if (session.shelf().chosen().get() != null) {
      afterNextPulse();
    } else {
      session.shelf().chosen().addListener((o, was, is) -> afterNextPulse());
    }
  }

  private static void afterNextPulse() {
    Platform.runLater(
        () ->
            Platform.runLater(
                () -> {
                  long started = Long.getLong("ember.start.from", 0);
                  System.out.println("usable after ms: " + (Clock.systemUTC().millis() - started));
                  if (System.getProperty("ember.start").equals("exit")) {
                    Platform.exit();
                  }
                }));
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
    closeOnce();
  }

  private void closeOnce() {
    if (closed.compareAndSet(false, true)) {
      session.close();
    }
  }
}
