package org.wiseember.command;

import java.util.List;
import java.util.regex.Pattern;

/** Tells a sentence of ours from what an exception says of itself. */
final class OwnWords {
  private static final List<Pattern> NOT_OURS =
      List.of(
          Pattern.compile(
              "Exception|java\\.|javax\\.|jackson|sqlite|SQLITE|fastcsv", Pattern.CASE_INSENSITIVE),
          Pattern.compile("\\bnull\\b|\\bNaN\\b|Infinity|out of bounds|For input string"),
          Pattern.compile("fault of the program|unexpected|Cannot |at \\[Source|@[0-9a-f]{6}"),
          Pattern.compile("Record \\d|buffer|malformed|Unrecognized", Pattern.CASE_INSENSITIVE));

  /** What files hold stands in quotes, and may be anything. */
  private static final Pattern QUOTED = Pattern.compile("“[^”]*”|/\\S+|\\(the first: [^)]*\\)");

  private OwnWords() {}

  /** What is wrong with a sentence; empty where it is fine, or nothing was said. */
  static String trouble(String said) {
    String ours = QUOTED.matcher(said).replaceAll("…");
    for (Pattern pattern : NOT_OURS) {
      if (pattern.matcher(ours).find()) {
        return "not our words: " + said;
      }
    }
    boolean commands = said.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n');
    return commands && said.indexOf('\u001b') >= 0 ? "commands the terminal: " + said : "";
  }
}
