package org.wiseember.command;

import java.io.PrintWriter;
import java.io.StringWriter;

/**
 * A command that was run, with what it told.
 *
 * @param code it ended with
 */
record Told(int code, String out, String err) {
  static Told by(String... args) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    int code = Ember.run(new PrintWriter(out), new PrintWriter(err), args);
    return new Told(code, out.toString(), err.toString());
  }
}
