package org.wiseember.trial.kind.charge;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.wiseember.core.charge.ChargeLimits;
import org.wiseember.core.charge.Derating;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.LimitBand;
import org.wiseember.core.charge.LimitingFactor;
import org.wiseember.core.charge.Sharing;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/** What a charge says beyond its figures, in sentences. */
final class ChargeWords {
  /** What bound for less than this share of the time is not worth a word. */
  private static final double WORTH = 0.02;

  private ChargeWords() {}

  static List<String> of(ChargeRun run) {
    List<String> words = new ArrayList<>();
    start(run, words);
    run.limits().ifPresent(l -> limits(l, words));
    run.rate()
        .ifPresent(
            r ->
                words.add(
                    "At its peak it takes "
                        + Figures.fixed(r.value(), 2)
                        + " of its label's watt-hours an hour (C-rate, by energy)."));
    run.finding()
        .taperShare()
        .ifPresent(
            s ->
                words.add(
                    "The power begins to fall once "
                        + Figures.fixed(s.value(), 0)
                        + " % of the energy is in."));
    run.shown().ifPresent(s -> words.add(s.words()));
    run.fan().ifPresent(words::add);
    run.harvest()
        .ifPresent(
            h ->
                words.add(
                    "Brought to full light and 25\u00a0°C the panels give "
                        + Figures.withUncertainty(h.scaled().value(), h.scaled().u95(), Unit.WATT)
                        + ", "
                        + Figures.fixed(h.ofPlate().value(), 0)
                        + " % of their plates; 70 % is usual, 80 % good."));
    run.roundTrip()
        .ifPresent(
            r ->
                words.add(
                    "Round trip "
                        + Figures.withUncertainty(r.value(), r.u95(), Unit.PERCENT)
                        + ": what the last AC drain gave over what this charge took in,"
                        + " which holds where it was charged from that drain's cut-off."));
    return words;
  }

  private static void start(ChargeRun run, List<String> words) {
    List<String> parts = new ArrayList<>();
    run.startCharge()
        .ifPresent(c -> parts.add("with " + Figures.fixed(c, 0) + " % on the display"));
    run.startCelsius()
        .ifPresent(t -> parts.add("with the case at " + Figures.fixed(t, 0) + "\u00a0°C"));
    if (!parts.isEmpty()) {
      words.add("It began " + String.join(" and ", parts) + ".");
    }
  }

  private static void limits(ChargeLimits limits, List<String> words) {
    for (LimitBand band : limits.bands()) {
      String said = band(band);
      if (!said.isEmpty()) {
        words.add(said);
      }
    }
    limits.derating().ifPresent(d -> words.add(derating(d)));
    limits
        .coldUntil()
        .ifPresent(
            t ->
                words.add(
                    Double.isNaN(t)
                        ? "Too cold to charge: it never began."
                        : "Too cold to charge at first: it began with the case at "
                            + Figures.fixed(t, 0)
                            + "\u00a0°C."));
    limits.sharing().ifPresent(s -> words.add(sharing(s)));
  }

  /** {@code What bound the DC input: amps for 2 h 10 min, then taper for 40 min.} */
  private static String band(LimitBand band) {
    double whole =
        band.stretches().stream()
            .filter(s -> s.binding() != LimitingFactor.NOTHING)
            .mapToDouble(LimitBand.Stretch::seconds)
            .sum();
    List<String> parts = new ArrayList<>();
    for (LimitingFactor binding : LimitingFactor.values()) {
      double seconds = band.seconds(binding);
      if (binding != LimitingFactor.NOTHING && seconds > WORTH * whole) {
        parts.add(binding.words() + " for " + Figures.duration(60 * Math.rint(seconds / 60)));
      }
    }
    return parts.isEmpty()
        ? ""
        : "What bound the " + band.inlet().words() + ": " + String.join(", ", parts) + ".";
  }

  private static String derating(Derating d) {
    String least = Figures.fixed(100 * d.leastShare(), 0) + " % of its level";
    return d.fromCelsius().isPresent()
        ? "Warmth held it back from a case of about "
            + Figures.fixed(d.fromCelsius().getAsDouble(), 0)
            + " ± "
            + Figures.plain(Derating.UNSURE)
            + "\u00a0°C on, down to "
            + least
            + "."
        : "Warmth held it back from its start on, down to "
            + least
            + "; let it rest until it is cool and charge again.";
  }

  private static String sharing(Sharing s) {
    if (s.cap().isEmpty()) {
      return "The sources add up to "
          + Figures.fixed(s.most(), 0)
          + " W; none of them had to give way, so no cap was met.";
    }
    return names(s.first())
        + (s.first().size() > 1 ? " come first, " : " comes first, ")
        + s.toppingUp().stream().map(Inlet::words).collect(Collectors.joining(" and "))
        + (s.toppingUp().size() > 1 ? " top up" : " tops up")
        + " to "
        + Figures.fixed(s.cap().getAsDouble(), 0)
        + " W in all.";
  }

  private static String names(List<Inlet> inlets) {
    String all = inlets.stream().map(Inlet::words).collect(Collectors.joining(" and "));
    return all.isEmpty() ? "Nothing" : Character.toUpperCase(all.charAt(0)) + all.substring(1);
  }
}
