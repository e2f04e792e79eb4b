package org.wiseember.bench.simulated;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.Test;
import org.wiseember.bench.instrument.Wanted;
import org.wiseember.core.charge.Binding;
import org.wiseember.core.charge.ChargeFinding;
import org.wiseember.core.charge.ChargeLimits;
import org.wiseember.core.charge.ChargeProfile;
import org.wiseember.core.charge.Inlet;
import org.wiseember.core.charge.KnownInputs;
import org.wiseember.core.charge.LimitBand;
import org.wiseember.core.solar.Arrangement;
import org.wiseember.core.solar.Panel;
import org.wiseember.core.solar.Port;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;

/**
 * Simulated units whose charging is known to the watt: what bound each inlet at each moment, and at
 * which charge the taper began, against what is found from the meters' readings alone.
 */
public class ChargeTruthTest {
  private static final double STEP = 5;
  private static final double ALONE_SECONDS = 300;

  private enum Plugged {
    WALL,
    WALL_HOT_PACK,
    WALL_HOT_ROOM,
    WALL_FROM_THE_COLD,
    CAR,
    BATTERY,
    PANELS,
    USB_C,
    WALL_AND_PANELS,
    WALL_AND_BATTERY
  }

  private record Charged(
      Trace trace, List<Map<Inlet, Binding>> truth, KnownInputs label, double kneeShare) {}

  private static Charged charge(Plugged plugged, long seed) {
    SplittableRandom random = new SplittableRandom(seed * 7919 + plugged.ordinal());
    double wattHours = 400 + 1600 * random.nextDouble();
    UnitDesign usual =
        UnitDesign.typical(
            random.nextBoolean() ? Chemistry.LFP : Chemistry.NMC, wattHours, wattHours, 230, 1);
    boolean hot = plugged == Plugged.WALL_HOT_PACK || plugged == Plugged.WALL_HOT_ROOM;
    double wall = wattHours * (0.4 + 0.6 * random.nextDouble());
    Port dc =
        new Port(
            11,
            60,
            10 + 4 * random.nextDouble(),
            Math.min(0.7 * wattHours, 150 + 450 * random.nextDouble()));
    double taperFrom = 0.7 + 0.22 * random.nextDouble();
    double warm = hot ? 33 + 6 * random.nextDouble() : 48;
    boolean mix = plugged == Plugged.WALL_AND_PANELS || plugged == Plugged.WALL_AND_BATTERY;
    double cap = mix ? wall * (1.05 + 0.2 * random.nextDouble()) : wall;
    ChargerDesign charger =
        new ChargerDesign(
            wall,
            0.93,
            dc.leastVolts(),
            dc.mostVolts(),
            dc.amps(),
            dc.watts(),
            100,
            Math.max(cap, Math.max(dc.watts(), 100)),
            taperFrom,
            warm,
            0,
            0.02);
    double room =
        plugged == Plugged.WALL_HOT_ROOM ? 30 : plugged == Plugged.WALL_FROM_THE_COLD ? 12 : 21;
    double start =
        plugged == Plugged.WALL_HOT_PACK
            ? warm + 2 + 6 * random.nextDouble()
            : plugged == Plugged.WALL_FROM_THE_COLD ? -6 + 4 * random.nextDouble() : room;
    Feeds feeds = feeds(plugged, random);
    Set<Beside> beside = EnumSet.of(Beside.WALL_METER);
    if (plugged.name().startsWith("WALL_AND") || !plugged.name().startsWith("WALL")) {
      beside.addAll(Set.of(Beside.INPUT_METER, Beside.USB_METER, Beside.LUX_METER));
    }
    SimulatedBench bench =
        new SimulatedBench(
            usual.with(charger),
            new LoadBank(List.of(), List.of()),
            new Start(0.02, start, room),
            seed,
            Set.of(),
            Clamped.NOWHERE,
            beside,
            feeds);
    double off = 1 - 0.03 + 0.08 * random.nextDouble();
    KnownInputs label =
        new KnownInputs(
            Optional.of(new Port(11, 60, dc.amps() * off, dc.watts() * off)), wall * off, 100);
    return run(bench, plugged, label, mix);
  }

  private static Feeds feeds(Plugged plugged, SplittableRandom random) {
    return switch (plugged) {
      case CAR -> Feeds.of(DcSource.car());
      case BATTERY, WALL_AND_BATTERY ->
          Feeds.of(DcSource.of(24 + 16 * random.nextDouble(), 0.03, 30));
      case PANELS, WALL_AND_PANELS -> {
        Panel panel = new Panel("stall roof", 22.6, 5.7, 18.9, 5.3, -0.28, 0.05, 0);
        int series = 1 + random.nextInt(2);
        yield Feeds.of(
            new PanelFeed(new Arrangement(panel, series, 1 + random.nextInt(3)), sky(random), 20));
      }
      case USB_C -> new Feeds(Optional.empty(), random.nextBoolean() ? 65 : 140);
      default -> Feeds.NONE;
    };
  }

  /** A morning that rises, with clouds now and then. */
  private static DoubleUnaryOperator sky(SplittableRandom random) {
    double base = 450 + 300 * random.nextDouble();
    double phase = 6 * random.nextDouble();
    return s ->
        base + 150 * Math.sin(s / 4000 + phase) - (Math.sin(s / 700 + 2 * phase) > 0.75 ? 250 : 0);
  }

  private static Charged run(
      SimulatedBench bench, Plugged plugged, KnownInputs label, boolean mix) {
    List<Frame> frames = new ArrayList<>();
    List<Map<Inlet, Binding>> truth = new ArrayList<>();
    double inAtKnee = Double.NaN;
    double in = 0;
    double quiet = 0;
    Set<Inlet> all =
        switch (plugged) {
          case WALL, WALL_HOT_PACK, WALL_HOT_ROOM, WALL_FROM_THE_COLD -> Set.of(Inlet.WALL);
          case USB_C -> Set.of(Inlet.USB_C);
          case WALL_AND_PANELS, WALL_AND_BATTERY -> Set.of(Inlet.WALL, Inlet.DC);
          default -> Set.of(Inlet.DC);
        };
    while (quiet < 600 && frames.size() < 30_000) {
      double now = frames.size() * STEP;
      Set<Inlet> fed =
          !mix || now >= 2 * ALONE_SECONDS
              ? all
              : now < ALONE_SECONDS ? Set.of(Inlet.DC) : Set.of(Inlet.WALL);
      bench.arrange(Wanted.idle(false, false, false).fed(fed));
      Frame frame = bench.advance(STEP);
      frames.add(frame);
      truth.add(
          new EnumMap<>(
              bench.unit().limits().isEmpty()
                  ? Map.of(Inlet.WALL, Binding.NOTHING)
                  : bench.unit().limits()));
      double watts =
          bench.unit().wallWatts() + bench.unit().dcInputWatts() + bench.unit().usbInputWatts();
      in += watts * STEP / 3600;
      boolean tapers = bench.unit().limits().containsValue(Binding.TAPER);
      if (tapers && Double.isNaN(inAtKnee)) {
        inAtKnee = in;
      }
      quiet = watts < 2 && frames.size() > 100 && in > 1 ? quiet + STEP : 0;
    }
    return new Charged(trace(frames), truth, label, 100 * inAtKnee / in);
  }

  private static Trace trace(List<Frame> frames) {
    double[] seconds = frames.stream().mapToDouble(Frame::seconds).toArray();
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    for (Channel channel : frames.get(0).channels()) {
      columns.put(channel, frames.stream().mapToDouble(f -> f.value(channel)).toArray());
    }
    return new Trace(seconds, columns);
  }

  @Test
  public void theBindingLimitIsNamed() {
    double right = 0;
    double total = 0;
    Map<String, Double> wrong = new TreeMap<>();
    for (Plugged plugged : Plugged.values()) {
      double r = 0;
      double t = 0;
      List<String> knees = new ArrayList<>();
      for (long seed = 1; seed <= 50; seed++) {
        Charged charged = charge(plugged, seed);
        ChargeFinding finding = ChargeProfile.of(charged.trace(), Optional.empty());
        ChargeLimits limits =
            ChargeLimits.of(charged.trace(), finding, charged.label()).orElseThrow();
        double rs = 0;
        double ts = 0;
        for (int i = 0; i < charged.truth().size(); i++) {
          double at = charged.trace().seconds(i) - STEP / 2;
          for (Map.Entry<Inlet, Binding> e : charged.truth().get(i).entrySet()) {
            Inlet inlet = e.getKey();
            LimitBand band =
                limits.bands().stream()
                    .filter(b -> b.inlet() == inlet)
                    .findFirst()
                    .orElse(limits.bands().get(0));
            ts++;
            if (band.at(at) == e.getValue()) {
              rs++;
            } else {
              wrong.merge(
                  plugged + " " + inlet + " " + e.getValue() + " as " + band.at(at),
                  1.0,
                  Double::sum);
            }
          }
        }
        if (rs / ts < 0.95) {
          wrong.merge(
              plugged + " seed " + seed + " " + (int) (100 * rs / ts) + "%", 1.0, Double::sum);
        }
        r += rs / ts;
        t++;
        double found = finding.taperShare().map(x -> x.value()).orElse(Double.NaN);
        double off = found - charged.kneeShare();
        if (!(Math.abs(off) <= 2) && !(Double.isNaN(found) && !(charged.kneeShare() < 97))) {
          knees.add(String.format("%d: %.1f/%.1f", seed, found, charged.kneeShare()));
        }
      }
      System.out.printf("%-20s %.3f  knees off %d %s%n", plugged, r / t, knees.size(), knees);
      right += r;
      total += t;
    }
    wrong.forEach((k, v) -> System.out.println(k + " " + v));
    assertTrue(right / total >= 0.95, right / total + "");
  }

  static void dump(String name, long seed) {
    Charged c = charge(Plugged.valueOf(name), seed);
    ChargeFinding f = ChargeProfile.of(c.trace(), Optional.empty());
    System.out.println(
        name + seed + " knee " + f.taperStart() + " " + f.taperShare() + " true " + c.kneeShare());
    int n = c.trace().size();
    for (int i = 0; i < n; i += Math.max(1, n / 40)) {
      System.out.printf(
          "%.0f whole? wall %.1f %.1f dcV %.2f dcA %.2f lux %.0f T %.1f %s%n",
          c.trace().seconds(i),
          c.trace().value(Channel.WALL_POWER, i),
          c.trace().value(Channel.IN_POWER, i),
          c.trace().value(Channel.IN_VOLTAGE, i),
          c.trace().value(Channel.IN_CURRENT, i),
          c.trace().value(Channel.ILLUMINANCE, i),
          c.trace().value(Channel.CASE_TEMPERATURE, i),
          c.truth().get(i));
    }
  }
}
