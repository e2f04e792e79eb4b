package org.wiseember.desktop;

import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.jfree.chart.JFreeChart;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.wiseember.desktop.look.ChartPane;
import org.wiseember.report.chart.ChartSvg;
import org.wiseember.report.look.Face;
import org.wiseember.report.look.Palette;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;

/**
 * Looks over a scene for text that is cut, elided, overlapping, or hard to read. Fields one types
 * in scroll by intent and are only checked for contrast.
 */
final class LayoutCheck {
  private static final double SLACK = 1.5;

  private record Word(String text, Bounds bounds, boolean scrolled) {}

  private final List<String> problems = new ArrayList<>();
  private final List<Word> words = new ArrayList<>();
  private final Scene scene;

  private LayoutCheck(Scene scene) {
    this.scene = scene;
  }

  static List<String> problems(Scene scene) {
    LayoutCheck check = new LayoutCheck(scene);
    check.visit(scene.getRoot(), null);
    check.overlaps(check.words, "window");
    return check.problems;
  }

  private void visit(Node node, Bounds viewport) {
    if (!node.isVisible()) {
      return;
    }
    if (node instanceof ChartPane pane && pane.chart() != null) {
      chart(pane);
    }
    if (node instanceof Labeled labeled) {
      elided(labeled);
    }
    if (node instanceof Text text && !text.getText().isBlank()) {
      text(text, viewport);
    }
    Bounds inside = viewport;
    if (node instanceof ScrollPane scroll && scroll.lookup(".viewport") instanceof Region v) {
      Bounds own = v.localToScene(v.getLayoutBounds());
      inside = viewport == null ? own : clip(own, viewport);
    }
    if (node instanceof Parent parent) {
      for (Node child : parent.getChildrenUnmodifiable()) {
        visit(child, inside);
      }
    }
  }

  private static boolean typed(Node node) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n instanceof TextInputControl) {
        return true;
      }
    }
    return false;
  }

  private void elided(Labeled labeled) {
    if (labeled.getText() == null || labeled.getText().isBlank()) {
      return;
    }
    for (Node child : labeled.getChildrenUnmodifiable()) {
      if (child instanceof Text text && !text.getText().equals(labeled.getText())) {
        problems.add("elided: “" + labeled.getText() + "” as “" + text.getText() + "”");
      }
    }
  }

  private void text(Text text, Bounds viewport) {
    Bounds bounds = text.localToScene(text.getLayoutBounds());
    contrast(text);
    if (typed(text)) {
      return;
    }
    Bounds window = new BoundingBox(0, 0, scene.getWidth(), scene.getHeight());
    Bounds frame = viewport == null ? window : viewport;
    if (bounds.getMinX() < frame.getMinX() - SLACK || bounds.getMaxX() > frame.getMaxX() + SLACK) {
      problems.add("cut at the side: “" + text.getText() + "” " + bounds + " in " + frame);
    }
    if (viewport == null
        && (bounds.getMinY() < -SLACK || bounds.getMaxY() > window.getMaxY() + SLACK)) {
      problems.add("cut above or below: “" + text.getText() + "”");
    }
    if (text.getParent() instanceof Labeled labeled) {
      Bounds own = labeled.localToScene(labeled.getLayoutBounds());
      if (bounds.getWidth() > own.getWidth() + SLACK
          || bounds.getHeight() > own.getHeight() + SLACK) {
        problems.add("larger than its label: “" + text.getText() + "”");
      }
    }
    boolean shown =
        bounds.getMaxY() > frame.getMinY() + 2 && bounds.getMinY() < frame.getMaxY() - 2;
    if (shown) {
      words.add(new Word(text.getText(), clip(bounds, frame), viewport != null));
    }
  }

  private static Bounds clip(Bounds b, Bounds frame) {
    double top = Math.max(b.getMinY(), frame.getMinY());
    double bottom = Math.min(b.getMaxY(), frame.getMaxY());
    return new BoundingBox(b.getMinX(), top, b.getWidth(), Math.max(0, bottom - top));
  }

  private void overlaps(List<Word> all, String where) {
    for (int i = 0; i < all.size(); i++) {
      for (int k = i + 1; k < all.size(); k++) {
        Bounds a = all.get(i).bounds();
        Bounds b = all.get(k).bounds();
        double wide = Math.min(a.getMaxX(), b.getMaxX()) - Math.max(a.getMinX(), b.getMinX());
        double high = Math.min(a.getMaxY(), b.getMaxY()) - Math.max(a.getMinY(), b.getMinY());
        if (wide > SLACK && high > SLACK + 2) {
          problems.add(
              "overlap in "
                  + where
                  + ": “"
                  + all.get(i).text()
                  + "” and “"
                  + all.get(k).text()
                  + "”");
        }
      }
    }
  }

  private void contrast(Text text) {
    if (!(text.getFill() instanceof Color ink)) {
      return;
    }
    Color ground = ground(text);
    double contrast = Palette.contrast(hex(ink), hex(ground));
    if (contrast < 4.5) {
      problems.add(
          String.format(
              "contrast %.2f: “%s” %s on %s", contrast, text.getText(), hex(ink), hex(ground)));
    }
  }

  private static Color ground(Node node) {
    for (Node n = node.getParent(); n != null; n = n.getParent()) {
      if (n instanceof Region region && region.getBackground() != null) {
        List<BackgroundFill> fills = region.getBackground().getFills();
        for (int i = fills.size() - 1; i >= 0; i--) {
          if (fills.get(i).getFill() instanceof Color c && c.getOpacity() > 0.99) {
            return c;
          }
        }
      }
    }
    return Color.WHITE;
  }

  private static String hex(Color c) {
    return String.format(
        "#%02X%02X%02X",
        Math.round(c.getRed() * 255),
        Math.round(c.getGreen() * 255),
        Math.round(c.getBlue() * 255));
  }

  private void chart(ChartPane pane) {
    JFreeChart chart = pane.chart();
    double width = pane.getWidth() - pane.getInsets().getLeft() - pane.getInsets().getRight();
    double height = pane.getHeight() - pane.getInsets().getTop() - pane.getInsets().getBottom();
    if (width < 40 || height < 40) {
      problems.add("no room for the chart: " + width + " × " + height);
      return;
    }
    List<Word> written = ChartWords.of(chart, (int) width, (int) height);
    for (Word word : written) {
      Bounds b = word.bounds();
      if (b.getMinX() < -SLACK
          || b.getMinY() < -SLACK
          || b.getMaxX() > width + SLACK
          || b.getMaxY() > height + SLACK) {
        problems.add("cut in the chart: “" + word.text() + "” " + b);
      }
    }
    overlaps(written, "the chart");
  }

  /** The words a chart writes and where, read from its drawing as SVG. */
  private static final class ChartWords {
    private static final Pattern MOVED = Pattern.compile("translate\\(([-0-9.]+),([-0-9.]+)\\)");

    private ChartWords() {}

    static List<Word> of(JFreeChart chart, int width, int height) {
      List<Word> words = new ArrayList<>();
      try {
        String svg = ChartSvg.of(chart, width, height);
        collect(
            DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(svg)))
                .getDocumentElement(),
            new Place(0, 0, 0),
            words);
      } catch (ParserConfigurationException | SAXException | IOException e) {
        throw new AssertionError(e);
      }
      return words;
    }

    /** What an element has from those around it. */
    private record Place(double x, double y, float fontSize) {}

    private static void collect(Element element, Place outer, List<Word> words) {
      String moved = element.getAttribute("transform");
      Matcher by = MOVED.matcher(moved);
      if (!moved.isEmpty() && !by.matches()) {
        // Turned words stand beside their axis.
        return;
      }
      String size = element.getAttribute("font-size").replace("px", "");
      Place place =
          new Place(
              outer.x + (moved.isEmpty() ? 0 : Double.parseDouble(by.group(1))),
              outer.y + (moved.isEmpty() ? 0 : Double.parseDouble(by.group(2))),
              size.isEmpty() ? outer.fontSize : Float.parseFloat(size));
      String text = element.getTextContent();
      if (element.getTagName().equals("text") && !text.isBlank()) {
        Font font = Face.FIGURE.awt(place.fontSize);
        Rectangle2D box = font.getStringBounds(text, new FontRenderContext(null, true, true));
        double x = place.x + Double.parseDouble(element.getAttribute("x"));
        double y = place.y + Double.parseDouble(element.getAttribute("y"));
        words.add(
            new Word(
                text,
                new BoundingBox(x + box.getX(), y + box.getY(), box.getWidth(), box.getHeight()),
                false));
      }
      NodeList inner = element.getChildNodes();
      for (int i = 0; i < inner.getLength(); i++) {
        if (inner.item(i) instanceof Element next) {
          collect(next, place, words);
        }
      }
    }
  }
}
