package org.wiseember.trial.verdict;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.kind.TestRun;

/**
 * How a unit stands, in brief: what a shelf and a search show of it while its findings stay in the
 * workbook.
 *
 * @param rating what its label says in brief
 * @param lines its claims that were judged, with the guard band and without
 * @param runs those that count, oldest first
 */
public record Summary(Rating rating, List<Line> lines, List<OfRun> runs) {
  /**
   * What a label says in brief; what it does not say is empty.
   *
   * @param chemistry a word
   */
  public record Rating(
      Optional<String> chemistry,
      Optional<Double> wattHours,
      Optional<Double> watts,
      Optional<Double> volts) {
    public static Rating of(Label label) {
      return new Rating(
          label.claim(Subject.CHEMISTRY).map(Claim::word),
          label.ratedWattHours(),
          label.ratedWatts(),
          label.claim(Subject.OUTPUT_VOLTAGE).map(Claim::figure));
    }
  }

  private static final JsonMapper JSON = JsonMapper.builder().addModule(new Jdk8Module()).build();

  public Summary {
    lines = List.copyOf(lines);
    runs = List.copyOf(runs);
  }

  /**
   * One judged claim.
   *
   * @param title as on the verdict page
   * @param measured as on the verdict page; empty where nothing was read
   * @param percent of the label's figure; empty where it has no place on the seam
   * @param guarded how it stands when a verdict keeps clear of the uncertainty
   * @param plain how it stands by plain comparison
   */
  public record Line(
      String title, String measured, OptionalDouble percent, Standing guarded, Standing plain) {
    /** How it stands. */
    public Standing standing(boolean guardBand) {
      return guardBand ? guarded : plain;
    }
  }

  /** One run. */
  public record OfRun(long id, String kind, String title) {}

  static Summary of(Judgement unit) {
    Judgement guarded = unit.judged(true);
    Judgement plain = unit.judged(false);
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < guarded.lines().size(); i++) {
      Judged line = guarded.lines().get(i);
      Optional<Standing> other = plain.lines().get(i).verdict().map(Verdict::standing);
      line.verdict()
          .ifPresent(
              v ->
                  lines.add(
                      new Line(
                          line.title(),
                          v.measured().map(Figure::words).orElse(""),
                          v.seam()
                              .map(s -> OptionalDouble.of(s.percent()))
                              .orElseGet(OptionalDouble::empty),
                          v.standing(),
                          other.orElse(v.standing()))));
    }
    return new Summary(
        Rating.of(unit.label()), lines, unit.runs().stream().map(Summary::of).toList());
  }

  private static OfRun of(TestRun run) {
    return new OfRun(run.run().id(), run.run().kind(), run.run().title());
  }

  String json() {
    return JSON.valueToTree(this).toString();
  }

  /** Empty where it is not what this version writes. */
  static Optional<Summary> read(String json) {
    try {
      return Optional.of(JSON.readValue(json, Summary.class));
    } catch (JsonProcessingException notOurs) {
      return Optional.empty();
    }
  }

  /** How many lines stand so. */
  public long count(Standing standing, boolean guardBand) {
    return lines.stream().filter(l -> l.standing(guardBand) == standing).count();
  }
}
