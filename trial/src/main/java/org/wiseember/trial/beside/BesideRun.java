package org.wiseember.trial.beside;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.report.page.FindingPage;
import org.wiseember.report.page.Sheet;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunSubject;
import org.wiseember.workbook.SourceRuns;
import org.wiseember.workbook.Watches;
import org.wiseember.workbook.Workbook;

/**
 * A run of an appliance, of the mains or of a generator, and what it says. It judges no label.
 *
 * @param subject what it is of
 * @param page figures first, then how they stand
 * @param watch of an appliance; empty for a source
 */
public record BesideRun(
    Run run,
    RunSubject subject,
    List<Figure> figures,
    List<Warning> warnings,
    FindingPage page,
    Optional<Watches.Kept> watch) {
  public BesideRun {
    figures = List.copyOf(figures);
    warnings = List.copyOf(warnings);
  }

  /** Every such run that was not taken away and can be read, oldest first. */
  public static List<BesideRun> all(Workbook workbook) {
    List<BesideRun> all = new ArrayList<>();
    for (RunSubject subject : workbook.runSubjects().all()) {
      for (Run run : workbook.runs().ofSubject(subject.id())) {
        of(workbook, subject, run).ifPresent(all::add);
      }
    }
    all.sort((a, b) -> Long.compare(a.run().id(), b.run().id()));
    return all;
  }

  /** One of them; empty where it cannot be read. */
  public static Optional<BesideRun> of(Workbook workbook, RunSubject subject, Run run) {
    return switch (run.kind()) {
      case Watches.KIND -> workbook.watches().read(run, subject.name()).map(w -> of(subject, w));
      case SourceRuns.KIND -> workbook.sources().read(run, subject).map(BesideRun::of);
      default -> Optional.empty();
    };
  }

  /** A watch of an appliance. */
  public static BesideRun of(RunSubject appliance, Watches.Kept watch) {
    return WatchPage.of(appliance, watch);
  }

  /** Tries of a source. */
  public static BesideRun of(SourceRuns.Kept source) {
    return SourcePage.of(source);
  }

  /** What kind of thing it is of: {@code appliance}. */
  public String kind() {
    return switch (subject.kind()) {
      case APPLIANCE -> "appliance";
      case MAINS -> "the mains";
      case GENERATOR -> "generator";
    };
  }

  /** The figure with a key; empty where there is none. */
  public Optional<Figure> figure(String key) {
    return figures.stream().filter(f -> f.key().equals(key)).findFirst();
  }

  /** Its first figure in brief. */
  public String brief() {
    return figures.isEmpty() ? "nothing read" : figures.get(0).words();
  }

  /** As a sheet to hang beside the thing. */
  public Sheet sheet() {
    return new Sheet(
        subject.name(),
        run.title()
            + ", "
            + TrialPage.date(LocalDate.ofInstant(run.startedAt(), ZoneOffset.UTC))
            + ".",
        page);
  }
}
