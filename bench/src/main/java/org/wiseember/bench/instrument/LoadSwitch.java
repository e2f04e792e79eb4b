package org.wiseember.bench.instrument;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * How an instrument switches a load over SCPI.
 *
 * @param side where the load hangs
 * @param on command that switches it on
 * @param off command that switches it off
 * @param state query that answers 1 or ON while it is on, 0 or OFF while it is off
 * @param watts command that sets its power, with {@code {watts}} in the place of the number; empty
 *     where it has none
 * @param amps command that sets its current, with {@code {amps}} in the place of the number; empty
 *     where it has none
 */
public record LoadSwitch(
    Side side, String on, String off, String state, String watts, String amps) {
  /** Where a load hangs. */
  public enum Side {
    OUTLET("outlet"),
    DC_PORT("dc-port");

    private final String key;

    Side(String key) {
      this.key = key;
    }

    /** As it stands in a description file. */
    public String key() {
      return key;
    }

    public static Optional<Side> byKey(String key) {
      return Arrays.stream(values()).filter(s -> s.key.equals(key)).findFirst();
    }
  }

  private static final String WATTS = "{watts}";
  private static final String AMPS = "{amps}";
  private static final int LONGEST = 200;
  private static final int DECIMALS = 3;

  public LoadSwitch {
    if (on.isBlank() || off.isBlank()) {
      throw new IllegalArgumentException("a load that is switched on needs a command for off too");
    }
    for (String line : List.of(on, off, state, watts, amps)) {
      if (line.length() > LONGEST || line.contains("\n")) {
        throw new IllegalArgumentException("a load's commands are one line each");
      }
    }
    if (state.isBlank() || !state.contains("?")) {
      throw new IllegalArgumentException(
          "a load is asked for its state with a query, such as INP?");
    }
    if (!(watts.isEmpty() || watts.contains(WATTS)) || !(amps.isEmpty() || amps.contains(AMPS))) {
      throw new IllegalArgumentException("a level has the place of its number, {watts} or {amps}");
    }
  }

  /** A switch without levels. Its state is asked as SCPI has it: the command's header and "?". */
  public static LoadSwitch of(Side side, String on, String off) {
    return new LoadSwitch(side, on, off, stateOf(off), "", "");
  }

  /** {@code OUTP?} for {@code OUTP OFF}: every setting of SCPI-99 has its query. */
  public static String stateOf(String command) {
    return command.strip().split("\\s+", 2)[0] + "?";
  }

  /** Whether the load is to draw anything. */
  public boolean isOn(SetPoints wanted) {
    return switch (side) {
      case OUTLET -> wanted.acWatts() > 0;
      case DC_PORT -> wanted.dcWatts() > 0 || wanted.dcAmps() > 0;
    };
  }

  /** What has to be sent to bring it about: the level before the switch, so that nothing jumps. */
  public List<String> commands(SetPoints wanted) {
    if (!isOn(wanted)) {
      return List.of(off);
    }
    double power = side == Side.OUTLET ? wanted.acWatts() : wanted.dcWatts();
    List<String> lines = new ArrayList<>();
    if (!watts.isEmpty() && power > 0 && Double.isFinite(power)) {
      lines.add(watts.replace(WATTS, number(power)));
    }
    if (!amps.isEmpty() && side == Side.DC_PORT && wanted.dcAmps() > 0) {
      lines.add(amps.replace(AMPS, number(wanted.dcAmps())));
    }
    lines.add(on);
    return lines;
  }

  private static String number(double value) {
    return BigDecimal.valueOf(value)
        .setScale(DECIMALS, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }
}
