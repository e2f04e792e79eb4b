package org.wiseember.report.chart;

import java.awt.Dimension;
import java.awt.Graphics2D;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;
import java.util.zip.CRC32;
import org.apache.batik.anim.dom.SVGDOMImplementation;
import org.apache.batik.svggen.SVGGeneratorContext;
import org.apache.batik.svggen.SVGGraphics2D;
import org.apache.batik.svggen.SVGIDGenerator;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.NodeList;
import org.w3c.dom.Text;

/** What is drawn, as an SVG element that says the same each time it is drawn. */
public final class SvgSurface {
  /** Several pictures stand in one page: each gets names of its own for what it refers to. */
  private static final String OWN = "own-";

  private SvgSurface() {}

  /**
   * Draws a picture.
   *
   * @param width in CSS pixels
   * @param height in CSS pixels
   * @param textAsShapes so that it looks the same where the faces are missing
   * @return an {@code svg} element
   */
  public static String of(
      int width, int height, boolean textAsShapes, Consumer<Graphics2D> drawing) {
    Document document =
        SVGDOMImplementation.getDOMImplementation()
            .createDocument(SVGDOMImplementation.SVG_NAMESPACE_URI, "svg", null);
    SVGGeneratorContext context = SVGGeneratorContext.createDefault(document);
    context.setComment(null);
    context.setPrecision(2);
    context.setIDGenerator(
        new SVGIDGenerator() {
          @Override
          public String generateID(String prefix) {
            return super.generateID(OWN + prefix);
          }
        });
    SVGGraphics2D surface = new SVGGraphics2D(context, textAsShapes);
    surface.setSVGCanvasSize(new Dimension(width, height));
    drawing.accept(surface);
    Element root = surface.getRoot();
    root.setAttributeNS(null, "viewBox", "0 0 " + width + " " + height);
    foldOpacity(root, 1, 1, 1);
    StringBuilder out = new StringBuilder();
    write(root, out);
    String element = out.toString();
    CRC32 name = new CRC32();
    name.update(element.getBytes(StandardCharsets.UTF_8));
    return element.replace(OWN, "p" + Long.toHexString(name.getValue()) + "-");
  }

  /**
   * See-through groups become see-through shapes: printing paints a group beside the page first,
   * and our shapes in one do not lie over each other.
   */
  private static void foldOpacity(Element element, double outer, double fill, double stroke) {
    double group = outer * number(element, "opacity", 1);
    double ownFill = number(element, "fill-opacity", fill);
    double ownStroke = number(element, "stroke-opacity", stroke);
    element.removeAttributeNS(null, "opacity");
    boolean shape = true;
    NodeList inner = element.getChildNodes();
    for (int i = 0; i < inner.getLength(); i++) {
      if (inner.item(i) instanceof Element next) {
        shape = false;
        foldOpacity(next, group, ownFill, ownStroke);
      }
    }
    if (shape && group < 1) {
      element.setAttributeNS(null, "fill-opacity", Double.toString(group * ownFill));
      element.setAttributeNS(null, "stroke-opacity", Double.toString(group * ownStroke));
    }
  }

  private static double number(Element element, String name, double otherwise) {
    String written = element.getAttributeNS(null, name);
    return written.isEmpty() ? otherwise : Double.parseDouble(written);
  }

  /**
   * Written here and not by the library, which refuses signs no page can hold: the page leaves them
   * out and says so.
   */
  private static void write(Element element, StringBuilder out) {
    out.append('<').append(element.getTagName());
    NamedNodeMap attributes = element.getAttributes();
    for (int i = 0; i < attributes.getLength(); i++) {
      out.append(' ').append(attributes.item(i).getNodeName()).append("=\"");
      escaped(attributes.item(i).getNodeValue(), out);
      out.append('"');
    }
    out.append('>');
    NodeList inner = element.getChildNodes();
    for (int i = 0; i < inner.getLength(); i++) {
      if (inner.item(i) instanceof Element next) {
        write(next, out);
      } else if (inner.item(i) instanceof Text text) {
        escaped(text.getData(), out);
      }
    }
    out.append("</").append(element.getTagName()).append('>');
  }

  private static void escaped(String words, StringBuilder out) {
    for (int i = 0; i < words.length(); i++) {
      char c = words.charAt(i);
      switch (c) {
        case '&' -> out.append("&amp;");
        case '<' -> out.append("&lt;");
        case '>' -> out.append("&gt;");
        case '"' -> out.append("&quot;");
        default -> out.append(c);
      }
    }
  }
}
