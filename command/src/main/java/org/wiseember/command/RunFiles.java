package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.label.Label;
import org.wiseember.core.notes.NotesFile;
import org.wiseember.core.notes.NotesUnreadable;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.record.EnteredRun;
import org.wiseember.trial.record.GivenRun;
import org.wiseember.workbook.CaptureFiles;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.log.Log;
import org.wiseember.workbook.log.LogCsv;
import org.wiseember.workbook.log.LogUnreadable;
import org.wiseember.workbook.log.NotesText;
import org.wiseember.workbook.log.ReadCapture;
import org.wiseember.workbook.pack.RunPackage;
import picocli.CommandLine.ParameterException;

/** Runs read from the files that were named; captures of one test are tries of one run. */
final class RunFiles {
  private final Label label;
  private final Function<String, ParameterException> refused;
  private final List<GivenRun> runs = new ArrayList<>();
  private final Map<TestType, Integer> captured = new LinkedHashMap<>();
  private final Map<TestType, Path> names = new LinkedHashMap<>();
  private final List<Warning> warnings = new ArrayList<>();

  /**
   * For runs of one unit.
   *
   * @param refused for what the head of notes says and cannot
   */
  RunFiles(Label label, Function<String, ParameterException> refused) {
    this.label = label;
    this.refused = refused;
  }

  List<GivenRun> runs() {
    return runs;
  }

  List<Warning> warnings() {
    return warnings;
  }

  /** The file a test was read from first. */
  Path nameOf(TestType type) {
    return names.get(type).getFileName();
  }

  void add(RunArgument run) throws IOException, LogUnreadable {
    if (!Files.isRegularFile(run.file())) {
      throw new LogUnreadable(run.file() + " is not there, or is no file; check the path");
    }
    names.putIfAbsent(run.type(), run.file());
    String name = run.file().getFileName().toString().toLowerCase(Locale.ROOT);
    if (name.endsWith(".zip")) {
      runs.add(settled(GivenRun.packed(run.type(), RunPackage.read(run.file())), run));
    } else if (name.endsWith(".txt")) {
      entered(run);
    } else if (!run.type().is(Trait.IN_CAPTURES)) {
      Log log = LogCsv.read(run.file());
      warnings.addAll(log.warnings());
      runs.add(settled(GivenRun.log(run.type(), label, log.trace()), run));
    } else {
      capture(run);
    }
  }

  private void entered(RunArgument run) throws IOException, LogUnreadable {
    try {
      EnteredRun entered =
          EnteredRun.of(
              run.type(), label, NotesFile.read(NotesText.read(run.file())), run.particulars());
      warnings.addAll(entered.warnings());
      runs.add(settled(GivenRun.entered(entered), run));
    } catch (NotesUnreadable e) {
      String why = run.file().getFileName() + ": " + e.getMessage();
      if (e.isHeader()) {
        throw refused.apply(why);
      }
      throw new LogUnreadable(why);
    }
  }

  private void capture(RunArgument run) throws IOException, LogUnreadable {
    ReadCapture read = CaptureFiles.read(run.file(), OptionalDouble.empty(), Optional.empty(), 1);
    warnings.addAll(read.warnings());
    GivenRun one = GivenRun.capture(run.type(), label, read.capture(), run.load());
    Integer at = captured.get(run.type());
    if (at == null) {
      captured.put(run.type(), runs.size());
      runs.add(settled(one, run));
    } else {
      StoredCapture more = one.captures().get(0);
      runs.set(at, settled(runs.get(at).with(more), run));
    }
  }

  private static GivenRun settled(GivenRun given, RunArgument run) {
    GivenRun with = given.with(run.particulars());
    return run.accuracy().isPresent() ? with.accurate(run.accuracy().getAsDouble()) : with;
  }
}
