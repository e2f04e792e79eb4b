package org.wiseember.bench.procedure;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.wiseember.bench.instrument.SetPoints;
import org.wiseember.core.charge.ChargeSource;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.notice.Notice;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;

/**
 * Charges an empty unit until it takes no more, with a meter on each input. Several sources come in
 * one after the other for five minutes each, so that each has shown what it does alone, and then
 * all together. It ends by itself where the power has stayed under a twenty-fifth of its most for
 * three minutes; a unit that is too cold is waited for.
 */
public final class Charge extends AskingProcedure {
  /** Kept with the run. */
  public static final String KIND = "charge";

  static final double BEFORE_SECONDS = 20;
  static final double ALONE_SECONDS = 300;
  private static final double OVER_SECONDS = 180;
  private static final double NOTHING_SECONDS = 300;
  private static final double LONGEST_SECONDS = 48 * 3600.0;
  private static final double LEAST_WATTS = 5;
  private static final double OVER_SHARE = 0.04;

  /** Less than this share of the brightest light is night, after so many seconds. */
  private static final double DARK_SHARE = 0.03;

  private static final double NIGHT_SECONDS = 1200;

  /** A case this cold may hold cells that are too cold to charge, °C. */
  private static final double COLD = 8;

  private final List<ChargeSource> sources;
  private int alone;
  private double most;
  private double brightest;
  private double darkSince = Double.NaN;
  private double quietSince = Double.NaN;
  private boolean coldSaid;

  /**
   * Sets it up.
   *
   * @param sources at least one, no two into one inlet
   */
  public Charge(Set<ChargeSource> sources) {
    super(KIND, Phase.BASELINE);
    this.sources =
        atLeastOne(List.copyOf(EnumSet.copyOf(sources)), "something has to charge the unit");
    Set<Inlet> inlets = this.sources.stream().map(ChargeSource::inlet).collect(Collectors.toSet());
    if (inlets.size() < this.sources.size()) {
      throw new IllegalArgumentException("the DC input takes one source at a time");
    }
  }

  @Override
  public SetPoints setPoints() {
    SetPoints rest = SetPoints.idle(false, false, false);
    if (asking) {
      return rest;
    }
    return switch (phase) {
      case SETTLING -> rest.fed(Set.of(sources.get(alone).inlet()));
      case MEASURING ->
          rest.fed(sources.stream().map(ChargeSource::inlet).collect(Collectors.toSet()));
      default -> rest;
    };
  }

  @Override
  protected String request() {
    return switch (phase) {
      case SETTLING -> capital(sources.get(alone).words()) + " in, nothing else";
      case MEASURING ->
          sources.size() > 1
              ? "All of them in: " + together()
              : capital(sources.get(0).words()) + " in";
      case WINDING_DOWN -> "Say so once it is full";
      default -> "Unit empty and rested, nothing plugged in, a meter on each input";
    };
  }

  private String together() {
    return sources.stream().map(ChargeSource::words).collect(Collectors.joining(", "));
  }

  private static String capital(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  @Override
  public double watched(Frame frame) {
    return into(frame);
  }

  /** W into the unit through whatever was read; NaN where nothing was. */
  private static double into(Frame frame) {
    double whole = frame.value(Channel.IN_POWER);
    if (!Double.isNaN(whole)) {
      return whole;
    }
    double sum = Double.NaN;
    for (double part :
        new double[] {
          frame.value(Channel.WALL_POWER),
          frame.value(Channel.IN_VOLTAGE) * frame.value(Channel.IN_CURRENT),
          frame.value(Channel.USB_IN_POWER)
        }) {
      sum = Double.isNaN(part) ? sum : Double.isNaN(sum) ? part : sum + part;
    }
    return sum;
  }

  private static boolean metered(Frame frame) {
    return frame.channels().contains(Channel.IN_POWER)
        || frame.channels().contains(Channel.WALL_POWER)
        || frame.channels().contains(Channel.IN_CURRENT)
        || frame.channels().contains(Channel.USB_IN_POWER);
  }

  @Override
  protected void go(Frame frame, double passed, boolean first, List<Notice> out) {
    if (tooHot(frame, out)) {
      return;
    }
    switch (phase) {
      case BASELINE -> {
        if (!metered(frame) || passed >= BEFORE_SECONDS) {
          part(sources.size() > 1 && metered(frame) ? Phase.SETTLING : Phase.MEASURING);
        }
      }
      case SETTLING -> {
        if (passed >= ALONE_SECONDS) {
          alone++;
          part(alone < sources.size() ? Phase.SETTLING : Phase.MEASURING);
        }
      }
      case MEASURING -> {
        if (metered(frame)) {
          charge(frame, passed, out);
        } else {
          part(Phase.WINDING_DOWN);
        }
      }
      case WINDING_DOWN -> finish("Full, seen by hand. All sources out.");
      default -> {}
    }
  }

  private void charge(Frame frame, double passed, List<Notice> out) {
    double now = frame.seconds();
    double watts = into(frame);
    if (Double.isNaN(watts)) {
      return;
    }
    most = Math.max(most, watts);
    double lux = frame.value(Channel.ILLUMINANCE);
    brightest = Double.isNaN(lux) ? brightest : Math.max(brightest, lux);
    boolean dark = brightest > 0 && lux < DARK_SHARE * brightest;
    darkSince = !dark ? Double.NaN : Double.isNaN(darkSince) ? now : darkSince;
    if (dark && now - darkSince >= NIGHT_SECONDS) {
      finish("The light went before it was full. All sources out.");
      return;
    }
    // Under a cloud little goes in without the unit being full.
    double light = brightest > 0 && lux > 0 ? lux / brightest : 1;
    boolean quiet = !dark && watts < Math.max(LEAST_WATTS * light, OVER_SHARE * most * light);
    quietSince = !quiet ? Double.NaN : Double.isNaN(quietSince) ? now : quietSince;
    double since = quiet ? now - quietSince : 0;
    boolean cold = frame.value(Channel.CASE_TEMPERATURE) < COLD;
    if (most < LEAST_WATTS && since >= NOTHING_SECONDS && cold) {
      sayCold(now, out);
    } else if (most < LEAST_WATTS && since >= NOTHING_SECONDS) {
      finish("It takes nothing from " + together() + ". Is it full, or nothing plugged in?");
      out.add(new Notice(now, "no_charge", ending));
    } else if (most >= LEAST_WATTS && since >= OVER_SECONDS) {
      finish("It takes no more: full after " + Figures.duration(passed - since) + ".");
    } else if (passed >= LONGEST_SECONDS) {
      finish("Charged for two days and still going. All sources out.");
    }
  }

  private void sayCold(double now, List<Notice> out) {
    if (!coldSaid) {
      out.add(
          new Notice(
              now,
              "too_cold",
              "It takes nothing while its cells are cold. Waiting until it warms up."));
    }
    coldSaid = true;
  }

  @Override
  public List<DoNow> steps() {
    List<DoNow> steps = new ArrayList<>();
    steps.add(
        new DoNow(
            "Drain it to the cut-off, rest until the case is at the room's warmth",
            DoNow.When.BEFORE,
            ""));
    sources.forEach(s -> steps.add(before(s)));
    steps.add(new DoNow("Probe on the case, one in the room", DoNow.When.BEFORE, ""));
    steps.add(
        new DoNow(
            "Note charge and time to full off the display now and then", DoNow.When.DURING, ""));
    steps.add(new DoNow("All sources out once it is full", DoNow.When.AFTER, ""));
    return steps;
  }

  private static DoNow before(ChargeSource source) {
    return switch (source) {
      case WALL ->
          new DoNow(
              "Meter between wall and charger, its own cable",
              DoNow.When.BEFORE,
              "Chargers run warm for hours: on a hard floor, air around them, a smoke alarm in the"
                  + " room, and nobody asleep beside it. Lithium cells are not charged below 0\u00a0°C.");
      case CAR ->
          new DoNow(
              "Car running, voltmeter and clamp at the unit's end of the lead",
              DoNow.When.BEFORE,
              "A running engine stands outdoors. The socket is fused for little: do not bridge its"
                  + " fuse, and feel the plug after ten minutes.");
      case SOLAR ->
          new DoNow(
              "Panels wired as planned, volts of the open string checked, lux meter in their plane",
              DoNow.When.BEFORE,
              "Panels are live in daylight: cover them or open the breaker before touching a plug."
                  + " Never more open volts than the port may see, and never panels straight into an"
                  + " inverter. What is fixed to a building is a licensed electrician's work.");
      case BATTERY ->
          new DoNow(
              "Fuse next to the second battery, polarity checked, then its lead in",
              DoNow.When.BEFORE,
              "A battery drives hundreds of amps through a short: fuse at its terminal, tools"
                  + " insulated, and its volts within the window of the port.");
      case USB_C ->
          new DoNow(
              "USB tester in the lead; above 60 W a cable marked for 5 A", DoNow.When.BEFORE, "");
      case TWO_USB_C ->
          new DoNow(
              "A USB tester in each of two leads, the watts of both added up",
              DoNow.When.BEFORE,
              "");
      case SUPPLY ->
          new DoNow(
              "Bench supply set within the port's window before its lead goes in, polarity checked",
              DoNow.When.BEFORE,
              "A supply turned up while it is connected can pass the volts the port may see. Set it"
                  + " first, then lock its knob.");
      case GENERATOR ->
          new DoNow(
              "Generator running free for some minutes, meter between it and the charger",
              DoNow.When.BEFORE,
              "A fuel engine runs outdoors, far from windows: its exhaust kills. Nothing of a"
                  + " building is connected to it without a transfer switch, by local code, from a"
                  + " licensed electrician.");
    };
  }
}
