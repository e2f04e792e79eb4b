package org.wiseember.trial.finding;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.hand.Moment;
import org.wiseember.core.trace.Plausible;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.trial.kind.Entered;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.OnDemand;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.TypedReadings;

/**
 * Works a run out that was read by hand, as well as the moments in its notebook are known. What was
 * read at about some time was read anywhere near it: the run is worked out for many ways it may
 * have been, and what that changes in a figure is a line of its budget. A figure that hangs on a
 * moment nobody knows is none.
 *
 * <p>Source: propagation of distributions by Monte Carlo, JCGM 101:2008, 5.9; with so few ways that
 * the spread itself is known to about a tenth.
 */
final class AsNoted {
  /** Within so much a reading is as good as its second, s. */
  private static final double AT_ONCE = 2.5;

  private static final int WAYS = 48;

  /** So many lines in all are gone through, however long a notebook is. */
  private static final int MOST_LINES = 100_000;

  private static final int FEWEST_WAYS = 4;
  private static final long SEED = 20_261_130;

  /** Far enough that what hangs on it changes, s. */
  private static final double ELSEWHERE = 3600;

  private static final double SAME = 1e-9;

  /** What becomes of a run's own line where nothing was said about it. */
  private static final String LINE = "Moments as they were noted";

  private final TestType type;
  private final RunRecord record;
  private final Inquiry asked;
  private final List<NotebookLine> lines;

  private AsNoted(TestType type, RunRecord record, Inquiry asked) {
    this.type = type;
    this.record = record;
    this.asked = asked;
    this.lines = record.notebook().stream().sorted(NotebookLine.IN_ORDER).toList();
  }

  /** Works a run out. */
  static TestRun worked(TestType type, RunRecord record, Inquiry asked) {
    TestRun found = type.worked(record, asked);
    if (!record.byHand()) {
      return found;
    }
    AsNoted noted = new AsNoted(type, record, asked);
    return noted.told(noted.spread(noted.known(found)));
  }

  private boolean isPress(NotebookLine line) {
    return line.press().isPresent();
  }

  /** Takes away what changes when lines nobody knows the moment of lie elsewhere. */
  private TestRun known(TestRun found) {
    if (lines.stream().allMatch(l -> l.when().isKnown())) {
      return found;
    }
    double[] at = lines.stream().mapToDouble(NotebookLine::seconds).toArray();
    double tail = 0;
    for (int i = 0; i < at.length; i++) {
      tail += lines.get(i).latest() == Double.POSITIVE_INFINITY ? ELSEWHERE : 0;
      at[i] += tail;
    }
    double head = 0;
    for (int i = at.length - 1; i >= 0; i--) {
      head += lines.get(i).earliest() == Double.NEGATIVE_INFINITY ? ELSEWHERE : 0;
      at[i] -= head;
    }
    Map<String, Figure> elsewhere = FiguresIn.of(workedAt(at));
    Set<String> gone = new LinkedHashSet<>();
    Optional<TestRun> left =
        FiguresIn.mapped(
            found,
            found.kept(),
            (way, figure) -> {
              Figure other = elsewhere.get(way);
              if (other != null && near(other.value(), figure.value())) {
                return Optional.of(figure);
              }
              gone.add(figure.name());
              return Optional.empty();
            });
    if (gone.isEmpty()) {
      return found;
    }
    String why =
        "When some of it was read nobody noted, and so there is no "
            + String.join(", no ", gone)
            + ".";
    return left.flatMap(
            run ->
                FiguresIn.mapped(
                    run,
                    run.kept().noticing(new Warning("moment_unknown", why)),
                    (way, figure) -> Optional.of(figure)))
        .orElseGet(() -> NotWorkedOut.of(type, record.run(), why));
  }

  private static boolean near(double a, double b) {
    return Math.abs(a - b) <= SAME * Math.max(Math.abs(a), Math.abs(b));
  }

  /** Widens every figure by what the moments of readings leave open. */
  private TestRun spread(TestRun found) {
    boolean sharp =
        lines.stream()
            .filter(l -> !isPress(l) && l.when().isKnown())
            .allMatch(l -> l.when().within() <= AT_ONCE);
    Map<String, Figure> nominal = sharp ? Map.of() : FiguresIn.of(found);
    if (nominal.isEmpty()) {
      return found;
    }
    Map<String, List<Double>> values = new HashMap<>();
    SplittableRandom random = new SplittableRandom(SEED);
    int ways = Math.max(FEWEST_WAYS, Math.min(WAYS, MOST_LINES / lines.size()));
    for (int n = 0; n < ways; n++) {
      FiguresIn.of(workedAt(way(random)))
          .forEach((w, f) -> values.computeIfAbsent(w, x -> new ArrayList<>()).add(f.value()));
    }
    return FiguresIn.mapped(
            found,
            found.kept(),
            (way, figure) ->
                Optional.of(widened(figure, spread(values.getOrDefault(way, List.of())))))
        .orElseThrow();
  }

  /** Standard deviation; 0 of fewer than two. */
  private static double spread(List<Double> values) {
    double mean = values.stream().mapToDouble(v -> v).average().orElse(0);
    double squares = values.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
    return values.size() < 2 ? 0 : Math.sqrt(squares / (values.size() - 1));
  }

  private static Figure widened(Figure figure, double standard) {
    if (!(standard > SAME * Math.abs(figure.value())) || !Double.isFinite(standard)) {
      return figure;
    }
    Because because =
        figure
            .because()
            .with(figure.budget().with(Contribution.rectangular(LINE, Math.sqrt(3) * standard)));
    return new Figure(
        figure.key(),
        figure.name(),
        new Estimate(figure.value(), because.budget().u95()),
        figure.unit(),
        figure.bound(),
        because);
  }

  /** One way it may have been: readings anywhere in their limits, in the order of the lines. */
  private double[] way(SplittableRandom random) {
    double[] at = lines.stream().mapToDouble(NotebookLine::seconds).toArray();
    int from = 0;
    while (from < at.length) {
      int to = from;
      while (to < at.length && !isPress(lines.get(to)) && lines.get(to).when().isKnown()) {
        to++;
      }
      double least = from == 0 ? Double.NEGATIVE_INFINITY : at[from - 1];
      double most = to == at.length ? Double.POSITIVE_INFINITY : at[to];
      double[] part = new double[to - from];
      for (int i = from; i < to; i++) {
        Moment when = lines.get(i).when();
        double low = Math.max(when.earliest(), least);
        double high = Math.min(when.latest(), most);
        part[i - from] = high > low ? low + random.nextDouble() * (high - low) : when.at();
      }
      Arrays.sort(part);
      System.arraycopy(part, 0, at, from, part.length);
      from = to + 1;
    }
    return at;
  }

  /** What comes out when the lines stand elsewhere. */
  private TestRun workedAt(double[] at) {
    Map<Double, Double> moved = new HashMap<>();
    List<NotebookLine> movedLines = new ArrayList<>();
    double last = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < at.length; i++) {
      NotebookLine line = lines.get(i);
      // Two moments that fall together would be one row.
      double now = at[i] > last ? at[i] : Math.nextUp(last);
      last = now;
      moved.put(line.seconds(), now);
      movedLines.add(line.at(now));
    }
    List<StoredReading> typed =
        record.typed().stream()
            .map(r -> r.at(moved.getOrDefault(r.seconds(), r.seconds())))
            .sorted(Comparator.comparingDouble(StoredReading::seconds))
            .toList();
    StoredRun kept =
        record
            .kept()
            .with(
                OnDemand.of(
                    Plausible.readings(
                        record.run().settings().corrected(TypedReadings.trace(typed)))));
    return type.worked(new RunRecord(kept, record.events(), typed, movedLines), asked);
  }

  /** Says of every figure when it was made, where that was not just now. */
  private TestRun told(TestRun found) {
    Optional<String> words = Entered.words(record.run());
    return words.isEmpty()
        ? found
        : FiguresIn.mapped(
                found,
                found.kept(),
                (way, f) -> Optional.of(f.because(f.because().working(words.get()))))
            .orElseThrow();
  }
}
