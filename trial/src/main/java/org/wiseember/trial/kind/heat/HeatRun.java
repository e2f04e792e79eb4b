package org.wiseember.trial.kind.heat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.heat.FanSteps;
import org.wiseember.core.heat.HeatRise;
import org.wiseember.core.heat.HotSpot;
import org.wiseember.core.noise.Noise;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.MeterClass;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.UnitFindings;

/**
 * A unit felt and heard from light to heavy loads.
 *
 * @param rise under the last load; empty where it was not read
 * @param background sound of the room, dB; NaN where it was not read
 * @param heard sound at each load
 * @param metres from the unit to the sound meter
 * @param soundMeter its class
 * @param fan its step under each load; nothing seen where nobody noted it
 * @param spot the hottest place; empty where none was read
 */
public record HeatRun(
    StoredRun kept,
    Optional<HeatRise> rise,
    double background,
    List<Heard> heard,
    double metres,
    MeterClass soundMeter,
    FanSteps fan,
    Optional<HotSpot> spot)
    implements TestRun {
  /**
   * The sound at one load.
   *
   * @param words the load
   * @param watts mean, W; NaN where not read
   * @param all with the room in it, dB
   * @param fan its step; empty where nobody noted it
   */
  public record Heard(String words, double watts, double all, OptionalInt fan) {}

  public HeatRun {
    heard = List.copyOf(heard);
  }

  /** The noise at one load. */
  public Noise noise(Heard h) {
    return new Noise(h.words(), h.all(), background, metres, soundMeter);
  }

  /** The loudest of all loads; empty where nothing was heard. */
  public Optional<Noise> loudest() {
    return heard.stream().max(Comparator.comparingDouble(Heard::all)).map(this::noise);
  }

  @Override
  public List<Figure> figures() {
    return Stream.of(
            rise.stream().flatMap(r -> r.figures().stream()),
            spot.map(HotSpot::rise).stream(),
            loudest().map(n -> n.at(metres)).stream())
        .flatMap(s -> s)
        .toList();
  }

  @Override
  public FindingPage page(UnitFindings unit) {
    List<Figure> headlines =
        Stream.of(
                rise.map(HeatRise::reached),
                rise.flatMap(HeatRise::heading),
                spot.map(HotSpot::rise),
                loudest().map(n -> n.at(1)))
            .flatMap(Optional::stream)
            .toList();
    FindingPage page = FindingPage.of(headlines);
    if (rise.isPresent()) {
      page = page.chart(HeatPicture.of(rise.get(), treated()));
    }
    return page.table(List.of("Load", "Measured", "Fan", "Sound", "Unit alone"), rows())
        .say(words());
  }

  private List<List<String>> rows() {
    return heard.stream()
        .map(
            h ->
                List.of(
                    h.words(),
                    Double.isNaN(h.watts()) ? "–" : Figures.fixed(h.watts(), 0) + " W",
                    h.fan().isEmpty()
                        ? "–"
                        : h.fan().getAsInt() == 0 ? "off" : "step " + h.fan().getAsInt(),
                    Figures.fixed(h.all(), 1) + " dB",
                    noise(h).at(metres).bound().sign()
                        + Figures.fixed(noise(h).alone(), 1)
                        + " dB"))
        .toList();
  }

  private List<String> words() {
    List<String> words = new ArrayList<>();
    if (!Double.isNaN(background)) {
      words.add(
          "The room alone: "
              + Figures.fixed(background, 1)
              + " dB at "
              + Figures.plain(metres, Unit.METRE)
              + ".");
    }
    if (!fan.seen().isEmpty()) {
      words.add(fan.words());
    }
    spot.ifPresent(
        s ->
            words.add(
                "Hottest spot: "
                    + s.words()
                    + ", "
                    + Figures.withUncertainty(s.rise().value(), s.rise().u95(), Unit.KELVIN)
                    + " above the room."));
    rise.ifPresent(r -> r.warnings().forEach(w -> words.add(w.message())));
    return words;
  }

  @Override
  public List<Warning> warnings() {
    return rise.map(HeatRise::warnings)
        .orElse(
            List.of(
                new Warning(
                    "no_rise", "The case was not read often enough to tell how it warms.")));
  }
}
