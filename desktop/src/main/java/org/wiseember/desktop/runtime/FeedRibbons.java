package org.wiseember.desktop.runtime;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.runtime.feed.Feed;
import org.wiseember.core.runtime.feed.FeedFlow;
import org.wiseember.desktop.look.Words;

/**
 * A feed from its sources on the left into the unit and out to the loads on the right, each part as
 * broad as its watts.
 */
final class FeedRibbons extends Pane {
  private static final double ROW = 124;
  private static final double BROADEST = 66;
  private static final double POST = 7;
  private static final double EDGE = 26;
  private static final double ABOVE = 30;
  private static final double LEAST_ABOVE = 6;

  /** One post with what goes out of it. */
  private record Post(List<Integer> way, Feed feed, int column, double row) {}

  private final List<Post> posts = new ArrayList<>();
  private FeedFlow flow;
  private Feed.Root root;
  private double load;
  private String unit = "";
  private double above = ABOVE;
  private double highest;
  private double lowest;
  private int rows = 1;
  private int columns = 1;

  FeedRibbons() {
    getStyleClass().addAll("sheet", "ribbons");
    setId("ribbons");
    widthProperty().addListener((o, was, is) -> draw());
    // Words have their size once they are on a scene.
    sceneProperty().addListener((o, was, is) -> Platform.runLater(this::draw));
  }

  void clear() {
    posts.clear();
    root = null;
    getChildren().clear();
  }

  void show(Feed.Root feed, FeedFlow now, double watts, String unitName) {
    root = feed;
    flow = now;
    load = watts;
    unit = unitName;
    posts.clear();
    rows = 0;
    columns = 1;
    double at = place(feed, List.of(), 0);
    columns = Math.max(columns, 1);
    rows = Math.max(1, rows);
    setAccessibleText(
        "Into "
            + unitName
            + " "
            + Figures.plain(Math.rint(into()), Unit.WATT)
            + (at < 0 ? "" : ", out of it " + Figures.plain(Math.rint(watts), Unit.WATT)));
    draw();
  }

  /** Sources get a row each; what they feed stands midway. */
  private double place(Feed feed, List<Integer> way, int column) {
    columns = Math.max(columns, column + 1);
    double row;
    if (feed.from().isEmpty()) {
      row = rows++;
    } else {
      double sum = 0;
      for (int i = 0; i < feed.from().size(); i++) {
        List<Integer> next = new ArrayList<>(way);
        next.add(i);
        sum += place(feed.from().get(i), next, column + 1);
      }
      row = sum / feed.from().size();
    }
    posts.add(new Post(way, feed, column, row));
    return row;
  }

  private boolean through() {
    return root instanceof Feed.PassThrough;
  }

  private double into() {
    return through() ? load : flow.intoUnit();
  }

  /** What comes out of a post towards the unit, W. */
  private double out(Post post) {
    if (post.way().isEmpty()) {
      return load;
    }
    if (through()) {
      return load / Math.max(1, root.from().size());
    }
    return flow.through(post.feed());
  }

  /** Long names need more room above; then all of it is drawn once more, lower. */
  private void draw() {
    above = ABOVE;
    drawOnce();
    if (highest < LEAST_ABOVE) {
      above += LEAST_ABOVE - highest;
      drawOnce();
    }
    double high = Math.max(above + ROW * rows, lowest + LEAST_ABOVE);
    setMinHeight(high);
    setPrefHeight(high);
  }

  private void drawOnce() {
    highest = LEAST_ABOVE;
    lowest = 0;
    getChildren().clear();
    if (root == null || getScene() == null || getWidth() < 100) {
      return;
    }
    double most = Math.max(1, load);
    for (Post p : posts) {
      most = Math.max(most, out(p));
    }
    double scale = BROADEST / most;
    double wide = getWidth() - 2 * EDGE;
    // One column more for the loads at the right.
    double step = wide / (columns + 0.35);
    Map<List<Integer>, Post> byWay = new HashMap<>();
    posts.forEach(p -> byWay.put(p.way(), p));
    Map<List<Integer>, Double> taken = new HashMap<>();
    List<Word> words = new ArrayList<>();
    for (Post p : posts) {
      double x = x(p, step);
      double y = y(p);
      double watts = out(p);
      double to;
      double toY;
      double toWide = watts * scale;
      if (p.way().isEmpty()) {
        to = EDGE + wide - POST;
        toY = y;
      } else {
        Post next = byWay.get(p.way().subList(0, p.way().size() - 1));
        to = x(next, step);
        double all = 0;
        for (Post q : posts) {
          all += isSource(q, next) ? out(q) : 0;
        }
        double before = taken.getOrDefault(next.way(), 0.0);
        taken.put(next.way(), before + watts);
        toY = y(next) + scale * (before + watts / 2 - all / 2);
      }
      getChildren().add(ribbon(x + POST, y, to, toY, Math.max(1.2, toWide), watts > 0));
      words.add(
          new Word(
              "measured",
              Figures.plain(Math.rint(watts), Unit.WATT),
              (x + POST + to) / 2,
              (y + toY) / 2));
    }
    for (Post p : posts) {
      double high = Math.max(14, scale * Math.max(out(p), incoming(p)));
      getChildren().add(post(p, x(p, step), y(p), high));
      Post next = p.way().isEmpty() ? p : byWay.get(p.way().subList(0, p.way().size() - 1));
      name(p, x(p, step), y(p), high, step, next.row() < p.row());
    }
    Post end = byWay.get(List.of());
    Region loads = new Region();
    loads.getStyleClass().add("post");
    loads.setManaged(false);
    double high = Math.max(14, scale * load);
    loads.resizeRelocate(EDGE + wide - POST, y(end) - high / 2, POST, high);
    getChildren().add(loads);
    words.add(new Word("strong", "The loads", EDGE + wide - 32, y(end) + high / 2 + 13));
    words.forEach(this::write);
  }

  private boolean isSource(Post of, Post to) {
    return of.way().size() == to.way().size() + 1
        && of.way().subList(0, to.way().size()).equals(to.way());
  }

  private double incoming(Post p) {
    if (p.way().isEmpty()) {
      return into();
    }
    double sum = 0;
    for (Post q : posts) {
      sum += isSource(q, p) ? out(q) : 0;
    }
    return sum;
  }

  private double x(Post p, double step) {
    return EDGE + (columns - 1 - p.column()) * step;
  }

  private double y(Post p) {
    return above + ROW * (p.row() + 0.5);
  }

  private Region post(Post p, double x, double y, double high) {
    Region post = new Region();
    boolean binds = flow.boundAt().equals(p.feed().kind()) && !through();
    post.getStyleClass()
        .add(
            binds
                ? "post-binds"
                : p.way().isEmpty()
                    ? "post-unit"
                    : p.feed() instanceof Feed.Battery ? "post-battery" : "post");
    post.setManaged(false);
    post.resizeRelocate(x, y - high / 2, POST, high);
    return post;
  }

  /** Beside its post, on the side its ribbon leaves free: what it is, its limits, what binds it. */
  private void name(Post p, double x, double y, double high, double step, boolean below) {
    List<Label> lines = new ArrayList<>();
    lines.add(label("strong", p.way().isEmpty() ? unit : capital(p.feed().kind())));
    lines.add(label("quiet", FeedWords.limits(p.feed())));
    if (flow.boundAt().equals(p.feed().kind()) && !through()) {
      lines.add(label("close", "held back by its " + bound()));
    }
    double room = Math.max(60, p.way().isEmpty() ? getWidth() - x - 6 : step - 12);
    double tall = lines.stream().mapToDouble(l -> l.prefHeight(room)).sum();
    double at = below ? y + high / 2 + 4 : y - high / 2 - 4 - tall;
    highest = Math.min(highest, at);
    for (Label line : lines) {
      line.resizeRelocate(
          x, at, Math.min(room, Math.ceil(line.prefWidth(-1))), line.prefHeight(room));
      at += line.prefHeight(room);
    }
    lowest = Math.max(lowest, at);
  }

  /** One that keeps its place: nothing else is laid out by it. */
  private Label label(String style, String text) {
    Label label = Words.of(style, text);
    label.setManaged(false);
    getChildren().add(label);
    label.applyCss();
    return label;
  }

  private String bound() {
    return switch (flow.boundBy()) {
      case "source" -> "watts";
      case "charger", "controller", "converter" -> "amps or watts";
      default -> flow.boundBy();
    };
  }

  private static String capital(String kind) {
    return kind.equals("battery")
        ? "Own battery"
        : Character.toUpperCase(kind.charAt(0)) + kind.substring(1);
  }

  /** Words around a place. */
  private record Word(String style, String text, double x, double y) {}

  private void write(Word word) {
    Label label = label(word.style(), word.text());
    double wide = label.prefWidth(-1);
    double high = label.prefHeight(-1);
    label.resizeRelocate(word.x() - wide / 2, word.y() - high / 2, wide, high);
  }

  private static Path ribbon(
      double x1, double y1, double x2, double y2, double wide, boolean flows) {
    double half = wide / 2;
    double middle = (x1 + x2) / 2;
    Path path =
        new Path(
            new MoveTo(x1, y1 - half),
            new CubicCurveTo(middle, y1 - half, middle, y2 - half, x2, y2 - half),
            new LineTo(x2, y2 + half),
            new CubicCurveTo(middle, y2 + half, middle, y1 + half, x1, y1 + half),
            new LineTo(x1, y1 - half));
    path.setManaged(false);
    path.getStyleClass().add(flows ? "ribbon" : "ribbon-dry");
    return path;
  }
}
