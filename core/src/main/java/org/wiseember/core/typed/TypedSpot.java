package org.wiseember.core.typed;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A temperature with the place it was found at, {@code 61.5 °C at the outlet}. */
public final class TypedSpot {
  private static final Pattern TEXT =
      Pattern.compile(
          "(?<figure>[^a-zA-Z°]*\\d\\s*(?:°?\\s*[cCfF]\\b|°)?)[\\s,;:]*(?:at |on )?(?<place>.*)",
          Pattern.DOTALL);

  private TypedSpot() {}

  static TypedAnswer read(String text, Expected expected) {
    Matcher m = TEXT.matcher(text);
    TypedAnswer answer =
        TypedReader.temperature(
            TypedKind.SPOT, m.matches() ? m.group("figure").strip() : text, expected);
    String place = place(text);
    if (answer.reading().isEmpty() || place.isEmpty()) {
      return answer;
    }
    TypedReading r = answer.reading().get();
    String words = r.words() + ", " + place;
    return new TypedAnswer(
        Optional.of(new TypedReading(r.kind(), r.value(), r.resolution(), text, words)),
        "Read as " + words + ".",
        answer.slips());
  }

  /**
   * The place in a typed spot.
   *
   * @param asTyped what stood in the field
   * @return empty where none was named
   */
  public static String place(String asTyped) {
    return Optional.of(TEXT.matcher(asTyped.strip()))
        .filter(Matcher::matches)
        .map(m -> m.group("place").strip())
        .orElse("");
  }
}
