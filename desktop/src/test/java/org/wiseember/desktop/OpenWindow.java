package org.wiseember.desktop;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.wiseember.bench.connect.HandClock;
import org.wiseember.desktop.frame.MainWindow;
import org.wiseember.desktop.look.Look;
import org.wiseember.desktop.look.WindowThread;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.verdict.Judgement;

/** A real window on the display, with a hand on its keyboard and mouse. */
final class OpenWindow implements AutoCloseable {
  private static final long PATIENCE = TimeUnit.SECONDS.toNanos(30);
  private static boolean facesLoaded;

  private final Session session;
  private final Stage stage;
  private final FxRobot robot;
  private boolean closed;

  private OpenWindow(Session session, Stage stage) {
    this.session = session;
    this.stage = stage;
    this.robot = new Hands(stage);
  }

  static OpenWindow on(Path workbook) throws TimeoutException {
    return on(workbook, HandClock::real);
  }

  /** With another time for tests by hand. */
  static OpenWindow on(Path workbook, DoubleFunction<HandClock> handClocks)
      throws TimeoutException {
    FxToolkit.registerPrimaryStage();
    OpenWindow window =
        onFx(
            () -> {
              if (!facesLoaded) {
                Look.loadFaces();
                facesLoaded = true;
              }
              Session session =
                  new Session(Clock.systemUTC(), new WindowThread(), handClocks)
                      .withoutLookingThrough()
                      .planningWithin(0.05);
              Scene scene = new Scene(new MainWindow(session), 1280, 800);
              scene.getStylesheets().add(Look.styleSheet());
              Stage stage = new Stage();
              stage.setScene(scene);
              stage.setX(0);
              stage.setY(0);
              stage.show();
              stage.toFront();
              stage.requestFocus();
              session.open(workbook);
              return new OpenWindow(session, stage);
            });
    window.until(() -> window.session.open().workbook().isPresent());
    window.settle();
    return window;
  }

  static <T> T onFx(Callable<T> task) {
    if (Platform.isFxApplicationThread()) {
      try {
        return task.call();
      } catch (Exception e) {
        throw new IllegalStateException(e);
      }
    }
    CompletableFuture<T> result = new CompletableFuture<>();
    Platform.runLater(
        () -> {
          try {
            result.complete(task.call());
          } catch (Exception | AssertionError e) {
            result.completeExceptionally(e);
          }
        });
    try {
      return result.get(60, TimeUnit.SECONDS);
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  Session session() {
    return session;
  }

  Stage stage() {
    return stage;
  }

  FxRobot robot() {
    return robot;
  }

  Scene scene() {
    return stage.getScene();
  }

  Node focused() {
    return onFx(() -> scene().getFocusOwner());
  }

  /** Waits for a condition on the interface thread. */
  void until(BooleanSupplier condition) {
    long end = System.nanoTime() + PATIENCE;
    while (!onFx(condition::getAsBoolean)) {
      if (System.nanoTime() > end) {
        throw new AssertionError("waited half a minute in vain; the focus is on " + focused());
      }
      // Asked again shortly: asking without a pause would crowd out what is waited for.
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(4));
    }
  }

  /**
   * Waits until what was posted to the interface thread is done and laid out, and so is what that
   * posted.
   */
  void settle() {
    settle(stage);
  }

  static void settle(Stage stage) {
    for (int round = 0; round < 2; round++) {
      laidOut(stage);
      onFx(() -> null);
    }
  }

  /** Waits for the next layout; what is hidden has none. */
  private static void laidOut(Stage stage) {
    CountDownLatch laidOut = new CountDownLatch(1);
    onFx(
        () -> {
          Scene scene = stage.getScene();
          if (!stage.isShowing()) {
            laidOut.countDown();
            return null;
          }
          Runnable once =
              new Runnable() {
                @Override
                public void run() {
                  scene.removePostLayoutPulseListener(this);
                  laidOut.countDown();
                }
              };
          scene.addPostLayoutPulseListener(once);
          Platform.requestNextPulse();
          return null;
        });
    try {
      if (!laidOut.await(PATIENCE, TimeUnit.NANOSECONDS)) {
        throw new AssertionError("nothing was laid out for half a minute");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Waits until nothing is read, worked out or laid out any more, and all of it is shown. */
  void idle() {
    until(() -> session.shelf().places().stream().allMatch(p -> p.summary().isPresent()));
    CompletableFuture<Boolean> done = new CompletableFuture<>();
    onFx(
        () -> {
          session.open().background(() -> true, done::complete);
          return null;
        });
    until(done::isDone);
    settle();
  }

  /** Whether a label on show has these words in it. */
  boolean shows(String words) {
    return scene().getRoot().lookupAll(".label").stream()
        .anyMatch(n -> n instanceof Label l && l.isVisible() && l.getText().contains(words));
  }

  void untilShown(String words) {
    until(() -> shows(words));
  }

  /** Types into a field in place of what stands there. */
  void replace(String id, String text) {
    onFx(
        () -> {
          ((TextInputControl) scene().lookup("#" + id)).clear();
          return null;
        });
    type(id, text);
  }

  /** The node with this id, once it is there. */
  Node node(String id) {
    until(() -> scene().lookup("#" + id) != null);
    return onFx(() -> scene().lookup("#" + id));
  }

  /** Clicks a node with the mouse. */
  void click(String id) {
    press(() -> node(id));
  }

  /** A page may be laid out anew between a look at a node and the click: then it is another one. */
  private void press(Supplier<Node> find) {
    long end = System.nanoTime() + PATIENCE;
    Optional<Point2D> middle = Optional.empty();
    while (middle.isEmpty()) {
      Node node = onShow(find);
      reveal(node);
      middle = onFx(() -> middle(node));
      if (middle.isEmpty() && System.nanoTime() > end) {
        throw new AssertionError(node + " never stood still");
      }
    }
    robot.clickOn(middle.orElseThrow());
    settle();
  }

  private static Optional<Point2D> middle(Node node) {
    return node.getScene() == null
        ? Optional.empty()
        : Optional.ofNullable(node.localToScreen(node.getBoundsInLocal()))
            .map(b -> new Point2D(b.getCenterX(), b.getCenterY()));
  }

  private static boolean gone(Node node) {
    return onFx(() -> node.getScene() == null);
  }

  /** A page may be laid out anew while it is looked at: then its node is another one. */
  private Node onShow(Supplier<Node> find) {
    long end = System.nanoTime() + PATIENCE;
    Node node = find.get();
    settle();
    while (gone(node)) {
      if (System.nanoTime() > end) {
        throw new AssertionError("it is laid out anew without end: " + node);
      }
      node = find.get();
      settle();
    }
    return node;
  }

  /** Clicks what a screen reader calls by words that begin so. */
  void clickOn(String words) {
    press(
        () -> {
          until(() -> called(words).isPresent());
          return onFx(() -> called(words).orElseThrow());
        });
  }

  private Optional<Node> called(String words) {
    return scene().getRoot().lookupAll("*").stream()
        .filter(n -> n.isVisible() && n.getAccessibleText() != null)
        .filter(n -> n.getAccessibleText().startsWith(words))
        .findFirst();
  }

  /** Scrolls until a node is in sight, as one does before one clicks. */
  private void reveal(Node node) {
    onFx(
        () -> {
          for (Node up = node.getParent(); up != null; up = up.getParent()) {
            if (up instanceof ScrollPane scroll && scroll.getContent() != null) {
              double content = scroll.getContent().getBoundsInLocal().getHeight();
              double view = scroll.getViewportBounds().getHeight();
              double top =
                  scroll
                      .getContent()
                      .sceneToLocal(node.localToScene(node.getBoundsInLocal()))
                      .getMinY();
              double at = scroll.getVvalue() * Math.max(0, content - view);
              boolean inSight = top >= at && top + node.getBoundsInLocal().getHeight() <= at + view;
              if (!inSight && content > view) {
                scroll.setVvalue(Math.max(0, Math.min(1, (top - view / 2) / (content - view))));
              }
            }
          }
          return null;
        });
    settle();
  }

  /** Gives a field the focus, again where it was laid out anew and is another one. */
  private boolean hasFocus(String id) {
    Node field = scene().lookup("#" + id);
    boolean has = field != null && scene().getFocusOwner() == field;
    if (field != null && !has) {
      field.requestFocus();
    }
    return has;
  }

  /** Types into a field. */
  void type(String id, String text) {
    until(() -> hasFocus(id));
    robot.write(text);
    settle();
  }

  /** Chooses a test of those that are one press away. */
  void test(String key) {
    if (!onFx(() -> node("other-tests").isVisible())) {
      click("another-test");
    }
    click("test-" + key);
  }

  /** Writes on in the notebook and keeps the line; then so many readings stand there. */
  void write(String text, int readings) {
    type("notebook-line", text);
    robot.push(KeyCode.ENTER);
    until(() -> session.bench().live().get().typed().size() == readings);
    settle();
  }

  /** Presses what leads on, and waits for what is asked next. */
  void press(KeyCode key, String asked) {
    robot.push(key);
    untilShown(asked);
  }

  /** All that was found of a unit of the shelf, as the workbook has it. */
  Judgement found(int unit) {
    return Judgement.of(
        session.open().workbook().orElseThrow(),
        session.shelf().places().get(unit).unit(),
        session.shelf().guardBand().get());
  }

  /** Chooses a unit of the shelf. */
  void choose(int unit) {
    onFx(
        () -> {
          session.shelf().choose(session.shelf().places().get(unit).unit().id());
          return null;
        });
    until(
        () ->
            session.shelf().chosen().get() != null
                && session.shelf().chosen().get().unit().id()
                    == session.shelf().places().get(unit).unit().id());
  }

  @Override
  public void close() {
    if (closed) {
      return;
    }
    closed = true;
    onFx(
        () -> {
          stage.hide();
          return null;
        });
    session.close();
  }
}
