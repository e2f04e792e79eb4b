package org.wiseember.core.runtime.feed;

import java.util.ArrayList;
import java.util.List;
import org.wiseember.core.quantity.HourSpan;

/** What brings energy into a unit: a tree of sources that ends in one of its ports. */
public sealed interface Feed {
  /** What may stand at the end: a port that charges, or an input that hands the mains through. */
  sealed interface Root extends Feed permits Port, PassThrough {}

  /** What gives by itself. */
  sealed interface Source extends Feed permits Panels, Alternating {}

  /** What it is called in the tree. */
  String kind();

  /** What it hangs on. */
  List<Feed> from();

  /** Mains and generators anywhere in it. */
  default List<Alternating> alternating() {
    List<Alternating> all = new ArrayList<>();
    if (this instanceof Alternating own) {
      all.add(own);
    }
    from().forEach(f -> all.addAll(f.alternating()));
    return all;
  }

  /**
   * The unit's own DC port.
   *
   * @param leastVolts of its window, V
   * @param mostVolts of its window, V
   * @param amps it draws at most, A
   * @param watts it draws at most, W
   */
  record Port(double leastVolts, double mostVolts, double amps, double watts, List<Feed> from)
      implements Root {
    public Port {
      from = List.copyOf(from);
    }

    @Override
    public String kind() {
      return "port";
    }
  }

  /** Hands what it is fed to the AC loads; the cells of the unit rest. */
  record PassThrough(List<Feed> from) implements Root {
    public PassThrough {
      from = List.copyOf(from);
    }

    @Override
    public String kind() {
      return "pass-through";
    }
  }

  /**
   * Takes all its sources give and gives what it is asked for as long as it holds any.
   *
   * @param wattHours held at the start, Wh
   * @param amps it gives at most, A
   */
  record Battery(double volts, double wattHours, double amps, List<Feed> from) implements Feed {
    public Battery {
      from = List.copyOf(from);
    }

    @Override
    public String kind() {
      return "battery";
    }
  }

  /**
   * A charger or a converter: volts of its own, up to amps and watts.
   *
   * @param kind charger or converter
   * @param volts out, V
   * @param efficiency out over in, 0 to 1
   */
  record Charger(
      String kind, double volts, double amps, double watts, double efficiency, List<Feed> from)
      implements Feed {
    public Charger {
      from = List.copyOf(from);
    }

    double most() {
      return Math.min(watts, amps == 0 ? 0 : amps * volts);
    }
  }

  /**
   * A charge controller between panels and a battery.
   *
   * @param amps out at most, A
   */
  record Controller(
      double leastVolts, double mostVolts, double amps, double efficiency, List<Feed> from)
      implements Feed {
    public Controller {
      from = List.copyOf(from);
    }

    @Override
    public String kind() {
      return "controller";
    }
  }

  /**
   * Panels.
   *
   * @param giving what they give when
   * @param volts at their peak, V
   * @param openVolts with nothing drawn on the coldest morning, V
   */
  record Panels(List<Giving> giving, double volts, double openVolts) implements Source {
    public Panels {
      giving = List.copyOf(giving);
    }

    @Override
    public String kind() {
      return "panels";
    }

    @Override
    public List<Feed> from() {
      return List.of();
    }
  }

  /** So many watts for a time. */
  record Giving(HourSpan when, double watts) {}

  /**
   * The mains or a generator.
   *
   * @param kind mains or generator
   * @param va it gives at most, VA
   * @param on when it is there
   */
  record Alternating(String kind, double va, List<HourSpan> on) implements Source {
    public Alternating {
      on = List.copyOf(on);
    }

    @Override
    public List<Feed> from() {
      return List.of();
    }

    public boolean isOn(double hour) {
      return on.stream().anyMatch(s -> s.holds(hour));
    }
  }
}
