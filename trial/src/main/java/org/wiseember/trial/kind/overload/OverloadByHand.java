package org.wiseember.trial.kind.overload;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.bench.procedure.ByHand;
import org.wiseember.bench.procedure.Held;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.trace.Channel;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;

/** An overload ladder with eyes, a plug meter and a hand on the plug. */
final class OverloadByHand {
  private final List<Held> held;
  private final double baseWatts;
  private final ByHand.Script script;

  private OverloadByHand(OverloadSettings settings) {
    this.held = settings.held();
    this.baseWatts = settings.baseWatts();
    this.script = ByHand.of(settings.kind(), settings.procedure().steps());
  }

  static ByHand of(OverloadSettings settings) {
    return new OverloadByHand(settings).script();
  }

  private ByHand script() {
    script
        .step("ready", "AC output on, nothing plugged in")
        .how("Write the volts without load and the case, such as: 231 V, case 24\u00a0°C.")
        .on(OperatorEvent.DONE, begin(0));
    for (int i = 0; i < held.size(); i++) {
      if (i > 0) {
        script.nextPart();
      }
      load(i);
    }
    return script.build();
  }

  private String begin(int load) {
    return (baseWatts > 0 ? "base-" : "on-") + load;
  }

  private void load(int i) {
    Held load = held.get(i);
    String watts = Figures.plain(load.watts(), Unit.WATT);
    boolean last = i == held.size() - 1;
    if (baseWatts > 0) {
      script
          .step("base-" + i, "Base load on: " + Figures.plain(baseWatts, Unit.WATT))
          .how("Let it run a minute and write its watts.")
          .clock("on for")
          .skippable()
          .on(OperatorEvent.DONE, "on-" + i)
          .on(OperatorEvent.TRIPPED, "recover-" + i);
    }
    script
        .step("on-" + i, "Put " + watts + " on, hand on the plug")
        .how(
            (load.recipe().isEmpty() ? "" : "Plug in " + load.recipe() + ". ")
                + "Press at the moment the last of it goes on.")
        .about(load.watts());
    if (baseWatts <= 0) {
      script.skippable();
    }
    script
        .on(OperatorEvent.LOAD_ON, "hold-" + i)
        .step("hold-" + i, "Hold " + watts + ". Watch the meter and the plug")
        .how(
            "Write the watts and the volts. Take it off after "
                + Figures.duration(load.atMost())
                + " at the latest. Goes dead: press at that moment.")
        .clock("held for")
        .about(load.watts())
        .on(OperatorEvent.TRIPPED, "recover-" + i)
        .on(OperatorEvent.TAKEN_OFF, "rest-" + i)
        .step("recover-" + i, "All loads off. Does it come back?")
        .how(
            "Wait 45 s before you press its button. Write the code it shows. Stays off: wake it as"
                + " its maker says.")
        .clock("off for")
        .on(OperatorEvent.CAME_BACK, "rest-" + i)
        .on(OperatorEvent.CAME_BY_BUTTON, "rest-" + i)
        .on(OperatorEvent.LATCHED, "rest-" + i)
        .step("rest-" + i, last ? "All loads off. Feel the plugs" : "Rest, all loads off")
        .how(
            last
                ? "Write what was noted last, such as the hottest plug."
                : "Until the case is near what it was at the start, ten minutes or more. A warm"
                    + " inverter trips sooner.")
        .clock("rested for");
    if (last) {
      script.last(OperatorEvent.DONE, "All loads tried: " + held.size() + ".");
    } else {
      script.on(OperatorEvent.DONE, begin(i + 1));
    }
  }

  /** A line for each load, and the volts. */
  static List<Known> known(List<Held> held, HandRecord record) {
    List<TimedOperatorEvent> on = record.every(OperatorEvent.LOAD_ON);
    List<Known> known = new ArrayList<>();
    int next = 0;
    for (Held h : held) {
      String load = Figures.plain(h.watts(), Unit.WATT);
      // One that was skipped was never put on.
      boolean tried = next < on.size() && on.get(next).subject() == h.watts();
      known.add(tried ? tried(load, on, next, record) : new Known(load, "not tried", false, ""));
      next += tried ? 1 : 0;
    }
    known.add(
        record
            .last(Channel.AC_VOLTAGE)
            .map(r -> Known.of("Volts at the outlet", Figures.plain(r.value(), Unit.VOLT)))
            .orElseGet(() -> Known.notRead("Volts at the outlet")));
    return known;
  }

  private static Known tried(String load, List<TimedOperatorEvent> on, int i, HandRecord record) {
    double from = on.get(i).seconds();
    double next = i + 1 < on.size() ? on.get(i + 1).seconds() : Double.POSITIVE_INFINITY;
    Optional<TimedOperatorEvent> end =
        TimedOperatorEvent.first(
            record.pressed(), from, next, OperatorEvent.TRIPPED, OperatorEvent.TAKEN_OFF);
    String value =
        end.map(
                e ->
                    (e.is(OperatorEvent.TRIPPED) ? "tripped after " : "held ")
                        + Figures.duration(e.seconds() - from))
            .orElse(
                i + 1 < on.size()
                    ? "end not said"
                    : Figures.duration(Math.max(0, record.now() - from)) + " and going");
    String watts =
        record
            .last(Channel.AC_POWER, from, end.map(TimedOperatorEvent::latest).orElse(next))
            .map(r -> Figures.plain(r.value(), Unit.WATT))
            .orElse("watts not read");
    return new Known(load, value, end.isPresent(), watts);
  }
}
