package org.wiseember.trial.kind;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.zip.CRC32;
import org.wiseember.core.capacity.EnergyLeft;
import org.wiseember.core.charge.KnownInputs;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Claim;
import org.wiseember.core.label.Subject;
import org.wiseember.core.uncertainty.Estimate;

/**
 * What a test may ask for beyond what was kept of its run: figures of the label, and what other
 * runs found. Whatever it asks is written down with a checksum of the answer, so that a finding is
 * known to stand for as long as the answers are the same. For one thread.
 */
public final class Inquiry {
  private static final String RATED_ENERGY = "rated energy";
  private static final String RATED_POWER = "rated power";
  private static final String OUTPUT_VOLTS = "output volts";
  private static final String INPUTS = "inputs";
  private static final String USABLE_ENERGY = "usable energy";
  private static final String OFFERED = "offered ";

  private final UnitFindings unit;
  private final Map<String, String> answers = new TreeMap<>();

  /**
   * For working a run out.
   *
   * @param unit its label, and what the runs found that do not rest on others
   */
  public Inquiry(UnitFindings unit) {
    this.unit = unit;
  }

  /** Wh on the label; NaN where it does not say. */
  public double ratedWattHours() {
    return noted(RATED_ENERGY, unit.label().ratedWattHours()).orElse(Double.NaN);
  }

  /** Continuous W on the label; NaN where it does not say. */
  public double ratedWatts() {
    return noted(RATED_POWER, unit.label().ratedWatts()).orElse(Double.NaN);
  }

  /** Volts of the outlet on the label. */
  public Optional<Double> outputVolts() {
    return noted(OUTPUT_VOLTS, unit.label().claim(Subject.OUTPUT_VOLTAGE).map(Claim::figure));
  }

  /** What the label says of the inputs. */
  public KnownInputs inputs() {
    return noted(INPUTS, LabelInputs.of(unit.label()));
  }

  /** What the pack gives on the DC side, from the best that is known, Wh. */
  public Optional<Estimate> usableWattHours() {
    return noted(USABLE_ENERGY, unit.usableWattHours());
  }

  /**
   * What a full unit gives at its AC outlet: its newest drain, else the usual part of its label.
   */
  public Optional<Figure> usableAc() {
    Optional<Figure> drained =
        offered("usable_ac_energy").stream().reduce((a, b) -> b).map(UnitFindings.Offered::figure);
    return drained.or(() -> EnergyLeft.usual(ratedWattHours()));
  }

  /** The same on the DC side. */
  public Optional<Figure> usableDc() {
    Optional<Figure> drained =
        offered("usable_dc_energy").stream().reduce((a, b) -> b).map(UnitFindings.Offered::figure);
    return drained.or(() -> EnergyLeft.usual(ratedWattHours()));
  }

  /** Figures that runs offer under a key, oldest first. */
  public List<UnitFindings.Offered> offered(String key) {
    return noted(OFFERED + key, unit.offered(key));
  }

  /** Every question that was asked, with a checksum of its answer. */
  public Map<String, String> answers() {
    return Map.copyOf(answers);
  }

  /** Whether a unit answers the same to what was asked once. */
  public static boolean same(Map<String, String> before, UnitFindings unit) {
    Inquiry now = new Inquiry(unit);
    before.keySet().forEach(now::again);
    return now.answers.equals(before);
  }

  private void again(String question) {
    switch (question) {
      case RATED_ENERGY -> ratedWattHours();
      case RATED_POWER -> ratedWatts();
      case OUTPUT_VOLTS -> outputVolts();
      case INPUTS -> inputs();
      case USABLE_ENERGY -> usableWattHours();
      default -> {
        if (question.startsWith(OFFERED)) {
          offered(question.substring(OFFERED.length()));
        }
      }
    }
  }

  private <T> T noted(String question, T answer) {
    CRC32 sum = new CRC32();
    sum.update(answer.toString().getBytes(StandardCharsets.UTF_8));
    answers.put(question, Long.toHexString(sum.getValue()));
    return answer;
  }
}
