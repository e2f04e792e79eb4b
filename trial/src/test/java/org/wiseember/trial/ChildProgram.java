package org.wiseember.trial;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Starts a program of the tests in a process of its own, which may be killed or starved. */
final class ChildProgram {
  private ChildProgram() {}

  /** The command line of its main class with these arguments. */
  static List<String> command(Class<?> program, List<String> arguments) {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.add("-XX:TieredStopAtLevel=1");
    command.add("-XX:+UseSerialGC");
    command.add("-XX:-UsePerfData");
    command.add("-cp");
    command.add(
        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")));
    command.add(program.getName());
    command.addAll(arguments);
    return command;
  }

  /** Starts a command line; what it complains of is nobody's. */
  static Process start(List<String> command) throws java.io.IOException {
    return new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
  }
}
