package org.wiseember.command;

import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.logging.LogManager;
import org.wiseember.command.analyze.Analyze;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * The program without a window. Exit codes: 0 done, 1 what was verified is not as it says, 2 bad
 * usage, 3 unreadable input with one clear line on standard error.
 */
@Command(
    name = "ember",
    description = "Wise Ember without its window.",
    mixinStandardHelpOptions = true)
public final class Ember {
  public static final int UNREADABLE = 3;

  private static final Map<String, Class<?>> COMMANDS = new LinkedHashMap<>();

  static {
    COMMANDS.put("analyze", Analyze.class);
    COMMANDS.put("judge", Judge.class);
    COMMANDS.put("run-time", RunTimeCommand.class);
    COMMANDS.put("line-up", LineUpCommand.class);
    COMMANDS.put("plan", PlanCommand.class);
    COMMANDS.put("simulate", Simulate.class);
    COMMANDS.put("report", ReportCommand.class);
    COMMANDS.put("package", PackageCommand.class);
    COMMANDS.put("verify", VerifyCommand.class);
    COMMANDS.put("take-in", TakeInCommand.class);
    COMMANDS.put("merge", MergeCommand.class);
    COMMANDS.put("convert", Convert.class);
  }

  private Ember() {}

  /** Runs one command and ends the process with its exit code. */
  public static void main(String[] args) {
    PrintWriter out = new PrintWriter(System.out, true, StandardCharsets.UTF_8);
    PrintWriter err = new PrintWriter(System.err, true, StandardCharsets.UTF_8);
    // Libraries log their own worries; the console belongs to the answer.
    LogManager.getLogManager().reset();
    System.exit(run(out, err, args));
  }

  /** Runs one command on these streams. */
  static int run(PrintWriter console, PrintWriter complaints, String... args) {
    // What files hold is echoed; it must not command the terminal.
    PrintWriter out = new PrintWriter(new VisibleText(console), true);
    PrintWriter err = new PrintWriter(new VisibleText(complaints), true);
    CommandLine line = new CommandLine(new Ember());
    // To describe every command takes longer than most of them run: one that is named comes alone.
    Class<?> named = args.length == 0 ? null : COMMANDS.get(args[0]);
    if (named == null) {
      COMMANDS.forEach(line::addSubcommand);
    } else {
      line.addSubcommand(args[0], named);
    }
    line.setOut(out);
    line.setErr(err);
    line.setExecutionExceptionHandler(
        (failure, command, parsed) -> {
          err.println(Failure.sentence(failure));
          return UNREADABLE;
        });
    line.setParameterExceptionHandler(
        (wrong, given) -> {
          err.println(wrong.getMessage() + " See --help.");
          return CommandLine.ExitCode.USAGE;
        });
    int code;
    try {
      code = args.length == 0 ? usage(line) : line.execute(args);
    } catch (OutOfMemoryError | StackOverflowError tooMuch) {
      err.println(
          "This takes more memory than there is. Give the program more of it, or a smaller file.");
      code = UNREADABLE;
    }
    out.flush();
    err.flush();
    return code;
  }

  private static int usage(CommandLine line) {
    line.usage(line.getErr());
    return CommandLine.ExitCode.USAGE;
  }
}
