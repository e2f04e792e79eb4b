package org.wiseember.command;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;

/** Damage as disks, programs and people do it, and as somebody would who means harm. */
final class Mutation {
  /** What a cell may hold instead. */
  private static final List<String> CELLS =
      List.of(
          "",
          " ",
          "-",
          "NaN",
          "9.91E37",
          "1e308",
          "-1e308",
          "1e-320",
          "-99999",
          "OL",
          "0,5",
          "1.2.3",
          "-0 230.4",
          "\"",
          "\"\"",
          "=1+1",
          "\u0000",
          "\u001b[31m\u001b]0;x\u0007",
          "\u202eW",
          "99999999999999999999999999",
          "0x1p9",
          "2026-13-45T99:99:99",
          "+999999999-01-01T00:00:00",
          "null",
          "true",
          "[]",
          "{}",
          "«»",
          "../../../x",
          "\ud800");

  private static final List<String> LONG =
      List.of(
          " ", "(", "[", "-", "0", "\"", ",", ";", "\t", "sampl ", "--- ", "a", "\n", "9.", "{");

  private Mutation() {}

  /** Damages bytes in one to four places. */
  static byte[] bytes(byte[] whole, SplittableRandom random) {
    byte[] now = whole.clone();
    for (int k = 1 + random.nextInt(4); k > 0 && now.length > 0; k--) {
      int at = random.nextInt(now.length);
      switch (random.nextInt(6)) {
        case 0 -> now[at] ^= (byte) (1 << random.nextInt(8));
        case 1 -> now = Arrays.copyOf(now, at);
        case 2 -> Arrays.fill(now, at, Math.min(now.length, at + random.nextInt(600)), (byte) 0);
        case 3 -> Arrays.fill(now, at, Math.min(now.length, at + 4), (byte) 0xff);
        case 4 -> {
          int length = Math.min(now.length - at, random.nextInt(400));
          byte[] more = Arrays.copyOf(now, now.length + length);
          System.arraycopy(now, at, more, now.length, length);
          now = more;
        }
        default -> {
          // Numbers in heads, such as lengths, are where harm is done.
          int head = random.nextInt(Math.min(128, now.length));
          now[head] = (byte) random.nextInt(256);
        }
      }
    }
    return now;
  }

  /** Damages a text in one to four places. */
  static String text(String whole, SplittableRandom random) {
    String now = whole;
    for (int k = 1 + random.nextInt(4); k > 0; k--) {
      now =
          switch (random.nextInt(9)) {
            case 0 -> now.substring(0, random.nextInt(now.length() + 1));
            case 1 -> cut(now, random);
            case 2 -> lines(now, random);
            case 3 -> column(now, random);
            case 4 -> inserted(now, CELLS.get(random.nextInt(CELLS.size())), random);
            case 5 ->
                inserted(
                    now,
                    LONG.get(random.nextInt(LONG.size())).repeat(1 + random.nextInt(3_000)),
                    random);
            case 6 -> now.replace(',', ",;\t ".charAt(random.nextInt(4)));
            case 7 -> number(now, random);
            default -> {
              StringBuilder flipped = new StringBuilder(now);
              if (flipped.length() > 0) {
                int at = random.nextInt(flipped.length());
                flipped.setCharAt(at, (char) random.nextInt(random.nextBoolean() ? 128 : 65_536));
              }
              yield flipped.toString();
            }
          };
    }
    return now;
  }

  private static String inserted(String text, String what, SplittableRandom random) {
    int at = random.nextInt(text.length() + 1);
    return text.substring(0, at) + what + text.substring(at);
  }

  private static String cut(String text, SplittableRandom random) {
    int from = random.nextInt(text.length() + 1);
    int to = Math.min(text.length(), from + random.nextInt(200));
    return text.substring(0, from) + text.substring(to);
  }

  private static String lines(String text, SplittableRandom random) {
    List<String> lines = new ArrayList<>(text.lines().toList());
    if (lines.size() < 2) {
      return text;
    }
    int a = random.nextInt(lines.size());
    int b = random.nextInt(lines.size());
    switch (random.nextInt(3)) {
      case 0 -> Collections.swap(lines, a, b);
      case 1 -> lines.remove(a);
      default -> lines.add(a, lines.get(b));
    }
    return String.join("\n", lines) + "\n";
  }

  /** One column of a table is nothing but such a cell. */
  private static String column(String text, SplittableRandom random) {
    String cell = CELLS.get(random.nextInt(CELLS.size()));
    int column = random.nextInt(5);
    StringBuilder all = new StringBuilder();
    int row = 0;
    for (String line : text.lines().toList()) {
      String[] cells = line.split(",", -1);
      if (row++ > 0 && column < cells.length) {
        cells[column] = cell;
      }
      all.append(String.join(",", cells)).append('\n');
    }
    return all.toString();
  }

  /** One number of the text is another. */
  private static String number(String text, SplittableRandom random) {
    int from = random.nextInt(text.length() + 1);
    while (from < text.length() && !Character.isDigit(text.charAt(from))) {
      from++;
    }
    int to = from;
    while (to < text.length() && Character.isDigit(text.charAt(to))) {
      to++;
    }
    String other =
        switch (random.nextInt(4)) {
          case 0 -> "0";
          case 1 -> "-" + text.substring(from, to);
          case 2 -> "2147483648";
          default -> CELLS.get(random.nextInt(CELLS.size()));
        };
    return text.substring(0, from) + other + text.substring(to);
  }
}
