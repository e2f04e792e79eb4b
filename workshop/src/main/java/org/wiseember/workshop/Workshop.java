package org.wiseember.workshop;

import java.util.Arrays;
import javafx.application.Application;
import picocli.CommandLine;

/** Begins the work of developers: {@code screenshots FOLDER WORKBOOK} or {@code timings}. */
public final class Workshop {
  private Workshop() {}

  /** Does what the first word says. */
  public static void main(String[] args) {
    String[] rest = Arrays.copyOfRange(args, Math.min(1, args.length), args.length);
    switch (args.length == 0 ? "" : args[0]) {
      case "screenshots" -> Application.launch(PictureApp.class, rest);
      case "timings" -> System.exit(new CommandLine(new Timings()).execute(rest));
      default -> {
        System.err.println("screenshots FOLDER WORKBOOK, or timings");
        System.exit(2);
      }
    }
  }
}
