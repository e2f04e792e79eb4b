package org.wiseember.core.typed;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.hand.OperatorEvent;

/**
 * Understands a line of the notebook, which may hold anything: figures with units, what a display
 * shows, a temperature with its place, an error code, what happened in so many words, when it was
 * and who saw it. What is no reading is kept as words.
 *
 * <pre>{@code
 * new NotebookReader(List.of(TypedKind.POWER), Expected.nothing(), started, 900)
 *     .read("display 1 590 W in, 38 %, 1:20 to empty");
 * }</pre>
 */
public final class NotebookReader {
  /** A line is no longer than this. */
  public static final int LONGEST = 400;

  private static final Pattern WHO =
      Pattern.compile(
          "(?<who>\\p{Lu}[\\p{L}.'-]{1,20}(?: \\p{Lu}[\\p{L}.'-]{0,20})?):\\s+(?<rest>.+)");
  private static final Pattern READ_BY =
      Pattern.compile("(?<rest>.+?)[,.]? (?:read |seen )?by (?<who>\\p{Lu}[\\p{L}.'-]{1,20})\\.?");
  private static final Pattern DISPLAY =
      Pattern.compile(
          "(?:the )?(?:display|screen)(?: shows| says)?:?\\s*", Pattern.CASE_INSENSITIVE);
  private static final Pattern OTHER_METER =
      Pattern.compile(
          "(?:the )?(?:plug )?(?:meter|clamp|shunt)(?: shows| says)?:?\\s+",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern CODE =
      Pattern.compile("(?:code |error |shows )*(?<code>[A-Za-z]{1,3}[- ]?\\d{1,4})");

  private static final Pattern PARTS = Pattern.compile("\\s*;\\s*");

  /** Between phrases; a comma within a figure has no blank behind it. */
  private static final Pattern BETWEEN = Pattern.compile(",\\s+(?:and\\s+)?|\\s+and\\s+");

  private final List<TypedKind> wanted;
  private final Expected expected;
  private final LocalDateTime started;
  private final double now;

  /**
   * Sets it up for a moment of a run.
   *
   * @param wanted what the test asks for, the likeliest first
   * @param expected what is known at that moment
   * @param started when the run began, by the wall clock
   * @param now s on the run's clock
   */
  public NotebookReader(
      List<TypedKind> wanted, Expected expected, LocalDateTime started, double now) {
    this.wanted = List.copyOf(wanted);
    this.expected = expected;
    this.started = started;
    this.now = now;
  }

  /** Reads a line; never fails. */
  public NotebookEntry read(String line) {
    return read(line, true);
  }

  /** Reads what a line says whose moment is known already; never fails. */
  public NotebookEntry understand(String line) {
    return read(line, false);
  }

  private NotebookEntry read(String line, boolean timed) {
    String text = line.strip();
    if (text.length() > LONGEST) {
      return new Understood("").entry("That is too long for a line. Write it as two.");
    }
    Matcher who = WHO.matcher(text);
    Matcher readBy = READ_BY.matcher(text);
    boolean named = who.matches() && !DISPLAY.matcher(who.group("who")).matches();
    String name = named ? who.group("who") : readBy.matches() ? readBy.group("who") : "";
    String said =
        (named ? who.group("rest") : readBy.matches() ? readBy.group("rest") : text).strip();
    Understood understood = new Understood(name);
    if (!timed) {
      understood.take(said);
      return understood.entry("");
    }
    NotebookMoment moment = NotebookMoment.in(said, expected.reader().twelveHours(), started, now);
    understood.when = moment.moment();
    understood.take(moment.rest());
    return understood.entry(moment.trouble());
  }

  /** What is understood so far. */
  private final class Understood {
    private final String who;
    private final List<TypedAnswer> answers = new ArrayList<>();
    private final List<String> words = new ArrayList<>();
    private Optional<Moment> when = Optional.empty();
    private Optional<OperatorEvent> press = Optional.empty();
    private Optional<String> code = Optional.empty();

    Understood(String who) {
      this.who = who;
    }

    void take(String text) {
      press = Stream.of(OperatorEvent.values()).filter(p -> p.saidBy(text)).findFirst();
      if (press.isPresent()) {
        return;
      }
      // What stands on the display ends with its part of the line.
      for (String part : PARTS.split(text)) {
        takePart(part);
      }
    }

    private void takePart(String text) {
      boolean display = false;
      for (String part : BETWEEN.split(text)) {
        String phrase = part.strip();
        Matcher shown = DISPLAY.matcher(phrase);
        Matcher meter = OTHER_METER.matcher(phrase);
        if (shown.lookingAt()) {
          display = true;
          phrase = phrase.substring(shown.end()).strip();
        } else if (meter.lookingAt()) {
          display = false;
        }
        if (!phrase.isEmpty() && !isPress(phrase)) {
          takePhrase(phrase, display);
        }
      }
    }

    /** Beside readings only what cannot mean anything else says that something happened. */
    private boolean isPress(String phrase) {
      if (press.isPresent() || phrase.indexOf(' ') < 0) {
        return false;
      }
      press = Stream.of(OperatorEvent.values()).filter(p -> p.saidBy(phrase)).findFirst();
      return press.isPresent();
    }

    private void takePhrase(String phrase, boolean display) {
      Matcher c = CODE.matcher(phrase);
      if (c.matches() && NotebookPhrase.of(phrase, display, List.of()).isEmpty()) {
        code = Optional.of(c.group("code").strip());
        return;
      }
      TypedAnswer answer =
          NotebookPhrase.of(phrase, display, wanted)
              .map(p -> TypedReader.read(p.kind(), p.figure(), expected))
              .orElse(null);
      if (answer != null && answer.reading().isPresent()) {
        answers.add(answer);
      } else {
        words.add(phrase);
      }
    }

    NotebookEntry entry(String trouble) {
      List<TypedReading> readings = answers.stream().flatMap(a -> a.reading().stream()).toList();
      List<String> echo = new ArrayList<>();
      if (!readings.isEmpty()) {
        echo.add(
            "Read as "
                + String.join(
                    ", ", readings.stream().map(r -> r.kind().words() + " " + r.words()).toList())
                + ".");
      }
      press.ifPresent(p -> echo.add("Said: " + p.words() + "."));
      code.ifPresent(c -> echo.add("The unit shows " + c + "."));
      if (!words.isEmpty()) {
        echo.add("Kept as a note: " + String.join(", ", words) + ".");
      }
      if (!trouble.isEmpty()) {
        echo.add(trouble);
      }
      return new NotebookEntry(
          readings,
          answers.stream().flatMap(a -> a.slips().stream()).toList(),
          press,
          when,
          code,
          who,
          String.join(", ", words),
          String.join(" ", echo));
    }
  }
}
