package org.wiseember.trial.publish;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.verdict.Standing;
import org.wiseember.report.film.Captions;
import org.wiseember.report.film.LowerThird;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.page.RunTrace;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.Workbook;

/** What happened in a unit's tests, for whoever cuts a film of it. */
public final class FilmCaptions {
  private static final int LONGEST_NAME = 40;

  private FilmCaptions() {}

  /**
   * Captions of marks, of what was typed and pressed, of what was noticed, and of the first figure
   * and the verdicts at the end of each run.
   *
   * @param start when the film begins; what happened before is left out
   */
  public static Captions of(Workbook workbook, Judgement judgement, Instant start) {
    List<Captions.Moment> moments = new ArrayList<>();
    for (TestRun run : judgement.runs()) {
      double begins = Duration.between(start, run.run().startedAt()).toMillis() / 1000.0;
      moments.add(new Captions.Moment(begins, run.run().title()));
      for (Event event : workbook.runs().events(run.run().id())) {
        moments.add(new Captions.Moment(begins + event.seconds(), event.words()));
      }
      for (StoredReading reading : workbook.typedReadings().of(run.run().id())) {
        moments.add(
            new Captions.Moment(
                begins + reading.seconds(),
                reading.meter() + ": " + Figures.plain(reading.value(), reading.channel().unit())));
      }
      for (NotebookLine line : workbook.notebook().of(run.run().id())) {
        moments.add(new Captions.Moment(begins + line.earliest(), line.words()));
      }
      double over = begins + RunTrace.seconds(run);
      run.headline()
          .ifPresent(h -> moments.add(new Captions.Moment(over, h.title() + ": " + h.answer())));
      for (Judged line : judgement.lines()) {
        if (line.runId().filter(id -> id == run.run().id()).isPresent()) {
          line.verdict()
              .ifPresent(
                  v ->
                      moments.add(
                          new Captions.Moment(over, line.title() + ": " + v.standing().words())));
        }
      }
    }
    return Captions.of(moments);
  }

  /** A strip for each claim that was judged, by a name its files may have. */
  public static Map<String, LowerThird> lowerThirds(Judgement judgement) {
    Map<String, LowerThird> all = new LinkedHashMap<>();
    for (Judged line : judgement.lines()) {
      Optional<Standing> standing =
          line.verdict().map(v -> v.standing()).filter(s -> s != Standing.NOT_TESTED);
      if (standing.isPresent() && line.figure().isPresent()) {
        String name =
            line.title()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        name = name.substring(0, Math.min(LONGEST_NAME, name.length()));
        all.put(
            String.format(Locale.ROOT, "%02d-%s", all.size() + 1, name),
            new LowerThird(
                line.figure().get().words(), line.title(), line.claim().figureWords(), standing));
      }
    }
    return all;
  }
}
