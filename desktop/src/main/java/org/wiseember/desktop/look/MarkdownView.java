package org.wiseember.desktop.look;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.Heading;
import org.commonmark.node.Link;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;

/**
 * A page of Markdown in the narrow panel beside the work: headings, paragraphs, lists, cautions,
 * and below each paragraph the pages it links to. What else Markdown knows is shown as its words.
 */
public final class MarkdownView extends VBox {
  private static final String CARE = "Take care.";

  private final Consumer<String> open;

  /**
   * Makes an empty one.
   *
   * @param open takes the place of a link that was pressed
   */
  public MarkdownView(Consumer<String> open) {
    super(8);
    this.open = open;
  }

  /** Shows a page. */
  public void show(String markdown) {
    List<Node> all = new ArrayList<>();
    org.commonmark.node.Node page = Parser.builder().build().parse(markdown);
    for (org.commonmark.node.Node n = page.getFirstChild(); n != null; n = n.getNext()) {
      block(n, all);
    }
    getChildren().setAll(all);
  }

  private void block(org.commonmark.node.Node node, List<Node> all) {
    if (node instanceof Heading heading) {
      all.add(Words.of(heading.getLevel() < 3 ? "heading" : "strong", words(heading)));
    } else if (node instanceof BulletList list) {
      items(list, all, false);
    } else if (node instanceof OrderedList list) {
      items(list, all, true);
    } else {
      String words = words(node);
      if (!words.isBlank()) {
        all.add(Words.of("figure", words));
      }
      links(node, all);
    }
  }

  private void items(org.commonmark.node.Node list, List<Node> all, boolean numbered) {
    int number = 0;
    for (org.commonmark.node.Node item = list.getFirstChild();
        item != null;
        item = item.getNext()) {
      number++;
      List<Node> parts = new ArrayList<>();
      for (org.commonmark.node.Node n = item.getFirstChild(); n != null; n = n.getNext()) {
        item(n, parts);
      }
      VBox words = new VBox(3, parts.toArray(Node[]::new));
      words.setMinWidth(0);
      HBox.setHgrow(words, Priority.ALWAYS);
      all.add(new HBox(8, Words.line("figure-quiet", numbered ? number + "." : "·"), words));
    }
  }

  /** What can hurt stands in a line of its own. */
  private void item(org.commonmark.node.Node node, List<Node> parts) {
    if (!(node instanceof Paragraph)) {
      block(node, parts);
      return;
    }
    String words = words(node);
    int care = words.indexOf(CARE);
    parts.add(Words.of("figure", care < 0 ? words : words.substring(0, care).strip()));
    if (care >= 0) {
      parts.add(Words.of("care", words.substring(care)));
    }
    links(node, parts);
  }

  private void links(org.commonmark.node.Node node, List<Node> all) {
    List<Hyperlink> links = new ArrayList<>();
    gather(node, links);
    if (!links.isEmpty()) {
      FlowPane row = new FlowPane(10, 2);
      row.getChildren().addAll(links);
      all.add(row);
    }
  }

  private void gather(org.commonmark.node.Node node, List<Hyperlink> links) {
    for (org.commonmark.node.Node n = node.getFirstChild(); n != null; n = n.getNext()) {
      if (n instanceof Link link) {
        Hyperlink to = new Hyperlink(words(link));
        to.setId("guide-" + link.getDestination().replaceAll("[^a-z0-9-]", "-"));
        to.setMinWidth(Region.USE_PREF_SIZE);
        to.setOnAction(e -> open.accept(link.getDestination()));
        links.add(to);
      }
      gather(n, links);
    }
  }

  private static String words(org.commonmark.node.Node node) {
    StringBuilder words = new StringBuilder();
    add(node, words);
    // The pages one should see stand below as links.
    return words.toString().replaceAll("\\s*See [^.]*\\.$", "").strip();
  }

  private static void add(org.commonmark.node.Node node, StringBuilder words) {
    if (node instanceof Text text) {
      words.append(text.getLiteral());
    } else if (node instanceof Code code) {
      words.append('“').append(code.getLiteral()).append('”');
    } else if (node instanceof SoftLineBreak) {
      words.append(' ');
    }
    for (org.commonmark.node.Node n = node.getFirstChild(); n != null; n = n.getNext()) {
      add(n, words);
    }
  }
}
