package org.wiseember.command;

import java.io.FilterWriter;
import java.io.IOException;
import java.io.Writer;

/**
 * Text for a terminal: signs that would command it, or turn the order of what is read, are written
 * as {@code \}{@code u} and four figures. In JSON, where they can only stand within texts, that
 * means the very same sign.
 */
final class VisibleText extends FilterWriter {
  VisibleText(Writer out) {
    super(out);
  }

  @Override
  public void write(int c) throws IOException {
    if (commands((char) c)) {
      out.write("\\u%04x".formatted(c));
    } else {
      out.write(c);
    }
  }

  @Override
  public void write(char[] text, int from, int length) throws IOException {
    int done = from;
    for (int i = from; i < from + length; i++) {
      if (commands(text[i])) {
        out.write(text, done, i - done);
        write(text[i]);
        done = i + 1;
      }
    }
    out.write(text, done, from + length - done);
  }

  @Override
  public void write(String text, int from, int length) throws IOException {
    write(text.toCharArray(), from, length);
  }

  private static boolean commands(char c) {
    boolean breaks = c == '\n' || c == '\t' || System.lineSeparator().indexOf(c) >= 0;
    boolean turns = (c >= '\u202a' && c <= '\u202e') || (c >= '\u2066' && c <= '\u2069');
    return turns || (Character.isISOControl(c) && !breaks);
  }
}
