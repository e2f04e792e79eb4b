package org.wiseember.desktop.frame;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.MarkdownView;
import org.wiseember.desktop.look.Words;
import org.wiseember.desktop.model.Session;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.guide.TestGuide;
import org.wiseember.trial.kind.TestType;

/**
 * The guide beside the work: the page of the stage one is on, on the bench that of the chosen test
 * before it. Links lead to the other pages, and back again.
 */
final class HelpPage extends VBox {
  private static final String FIRST = "README.md";
  private static final Pattern TEST = Pattern.compile("(?:tests/)?([a-z-]+)\\.md");

  private final Session session;
  private final MarkdownView page = new MarkdownView(this::open);
  private final Button back = Words.button("action", "Back", this::back);
  private final Button first = Words.button("action", "The whole guide", () -> open(FIRST));
  private final Deque<String> before = new ArrayDeque<>();
  private String shown = "";

  HelpPage(Session session) {
    super(8);
    this.session = session;
    back.setId("guide-back");
    first.setId("guide-first");
    getChildren().addAll(page, new FlowPane(6, 6, back, first));
    session.at().stage().addListener((o, was, is) -> follow());
    session.bench().test().addListener((o, was, is) -> follow());
    follow();
  }

  /** Shows what belongs to the work. */
  private void follow() {
    before.clear();
    StageName stage = session.at().stage().get();
    String own = stage.name().toLowerCase(Locale.ROOT).replace('_', '-') + ".md";
    if (stage == StageName.BENCH) {
      put("tests/" + session.bench().test().get().key() + ".md");
      before.push(own);
    } else {
      put(own);
    }
    Words.shown(back, !before.isEmpty());
  }

  private void put(String place) {
    text(place)
        .ifPresent(
            markdown -> {
              shown = place;
              page.show(markdown);
              toTop();
              Words.shown(back, !before.isEmpty());
            });
  }

  /** A page is read from its beginning. */
  private void toTop() {
    for (Node n = getParent(); n != null; n = n.getParent()) {
      if (n instanceof ScrollPane scroll) {
        scroll.setVvalue(0);
      }
    }
  }

  private void open(String place) {
    if (text(place).isPresent()) {
      before.push(shown);
      put(place);
    } else {
      session.open().say("That page is beside the program, in its folder docs.");
    }
  }

  private void back() {
    if (!before.isEmpty()) {
      put(before.pop());
      Words.shown(back, !before.isEmpty());
    }
  }

  /** A page of the guide; empty for a place outside it. */
  private static Optional<String> text(String place) {
    Matcher name = TEST.matcher(place);
    Optional<TestType> test =
        place.startsWith("tests/") && name.matches()
            ? AllTests.byKey(name.group(1))
            : Optional.empty();
    if (test.isPresent()) {
      return test.map(TestGuide::markdown);
    }
    if (!place.equals(FIRST) && !name.matches()) {
      return Optional.empty();
    }
    try (InputStream in =
        HelpPage.class.getResourceAsStream("/org/wiseember/desktop/guide/" + place)) {
      return in == null
          ? Optional.empty()
          : Optional.of(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
