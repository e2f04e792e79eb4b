package org.wiseember.command;

import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.wiseember.bench.procedure.Watching;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.RunOption;
import org.wiseember.trial.kind.StartCharge;
import org.wiseember.trial.kind.TestType;
import picocli.CommandLine.ParameterException;

/**
 * A run as it is named on the command line: {@code ac-drain=drain.csv,accuracy=0.5,from=full}.
 *
 * @param accuracy ± % of reading of its meters, ± dB for sound; empty where it was not given
 * @param load of a capture, W; empty where it was not given
 * @param particulars what else it was made with
 */
record RunArgument(
    TestType type,
    Path file,
    OptionalDouble accuracy,
    OptionalDouble load,
    Map<String, String> particulars) {
  private static final double MOST_LOAD = 1e6;
  private static final double MOST_PERCENT = 100;

  /** What scripts call a test where the workbook calls it otherwise. */
  private static final Map<String, String> ALSO = Map.of("soak", Watching.KIND);

  /** Reads one. */
  static RunArgument read(String text, Function<String, ParameterException> refused) {
    return new Reading(refused).read(text);
  }

  private record Reading(Function<String, ParameterException> refused) {
    RunArgument read(String text) {
      List<String> parts = parts(text);
      int equals = parts.get(0).indexOf('=');
      if (equals < 1 || equals == parts.get(0).length() - 1) {
        throw refused.apply("--run takes KIND=FILE, not “" + shown(text) + "”.");
      }
      String kind = parts.get(0).substring(0, equals);
      TestType type =
          Optional.of(ALSO.getOrDefault(kind, kind))
              .flatMap(AllTests::byKey)
              .orElseThrow(
                  () ->
                      refused.apply(
                          "--run: “"
                              + shown(kind)
                              + "” is no kind of run. Kinds: "
                              + kinds()
                              + "."));
      RunArgument run =
          new RunArgument(
              type,
              path(parts.get(0).substring(equals + 1)),
              OptionalDouble.empty(),
              OptionalDouble.empty(),
              Map.of());
      for (String part : parts.subList(1, parts.size())) {
        run = with(run, part);
      }
      return run;
    }

    private Path path(String text) {
      try {
        return Path.of(text);
      } catch (InvalidPathException e) {
        throw refused.apply("--run: “" + shown(text) + "” is no path.");
      }
    }

    private RunArgument with(RunArgument run, String part) {
      int equals = part.indexOf('=');
      String key = equals < 0 ? part : part.substring(0, equals);
      String value = equals < 0 ? "" : part.substring(equals + 1);
      return switch (key) {
        case "accuracy" ->
            new RunArgument(
                run.type,
                run.file,
                OptionalDouble.of(number(key, value, 0, MOST_PERCENT)),
                run.load,
                run.particulars);
        case "load" ->
            new RunArgument(
                run.type,
                run.file,
                run.accuracy,
                OptionalDouble.of(number(key, value, 0, MOST_LOAD)),
                run.particulars);
        case "from" ->
            run.with(
                StartCharge.read(value)
                    .orElseThrow(() -> refusedValue(key, StartCharge.TAKES, value)));
        default -> run.with(told(key, value));
      };
    }

    private Map<String, String> told(String key, String value) {
      RunOption option =
          options()
              .filter(o -> o.name().equals(key))
              .findFirst()
              .orElseThrow(
                  () ->
                      refused.apply(
                          "--run: “"
                              + shown(key)
                              + "” is no key. Keys: accuracy, load, from, "
                              + options().map(RunOption::name).collect(Collectors.joining(", "))
                              + "."));
      return option.read().apply(value).orElseThrow(() -> refusedValue(key, option.takes(), value));
    }

    private static Stream<RunOption> options() {
      return AllTests.list().stream().flatMap(t -> t.declaration().options().stream());
    }

    private ParameterException refusedValue(String key, String takes, String value) {
      return refused.apply("--run: " + key + " takes " + takes + ", not “" + shown(value) + "”.");
    }

    private double number(String key, String value, double least, double most) {
      try {
        double number = Double.parseDouble(value);
        if (number >= least && number <= most) {
          return number;
        }
      } catch (NumberFormatException notOne) {
        // Told below.
      }
      throw refusedValue(key, "a number", value);
    }

    /** Parted at commas that no backslash stands before. */
    private static List<String> parts(String text) {
      List<String> parts = new ArrayList<>();
      StringBuilder part = new StringBuilder();
      for (int i = 0; i < text.length(); i++) {
        char c = text.charAt(i);
        boolean escaped = c == '\\' && i + 1 < text.length() && text.charAt(i + 1) == ',';
        if (escaped) {
          part.append(',');
          i++;
        } else if (c == ',') {
          parts.add(part.toString());
          part.setLength(0);
        } else {
          part.append(c);
        }
      }
      parts.add(part.toString());
      return parts;
    }

    private static String kinds() {
      return AllTests.list().stream()
          .map(TestType::key)
          .map(k -> k.equals(Watching.KIND) ? "soak" : k)
          .collect(Collectors.joining(", "));
    }

    private static String shown(String text) {
      String plain = text.replaceAll("\\p{Cntrl}", "?");
      return plain.length() > 80 ? plain.substring(0, 80) + "…" : plain;
    }
  }

  private RunArgument with(Map<String, String> more) {
    Map<String, String> all = new TreeMap<>(particulars);
    all.putAll(more);
    return new RunArgument(type, file, accuracy, load, all);
  }
}
