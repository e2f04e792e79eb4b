package org.wiseember.bench.instrument;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * All the program knows of an instrument; kept in an open file, see docs/formats.md.
 *
 * @param name as the tester calls it
 * @param transport by which its readings come
 * @param address by its transport: {@code host:port} or {@code port:baud}; empty where it is not
 *     asked
 * @param modbusUnit of a Modbus device, 1 to 247
 * @param everySeconds how often it has something new, s
 * @param channels what it gives
 * @param load how it switches a load; empty where it cannot
 * @param scope how it is asked for captures; empty where it is no scope
 */
public record InstrumentDescription(
    String name,
    Transport transport,
    String address,
    int modbusUnit,
    double everySeconds,
    List<ChannelSource> channels,
    Optional<LoadSwitch> load,
    Optional<ScopeCommands> scope) {
  private static final Map<Channel, Channel> SECOND =
      Map.of(
          Channel.AC_POWER, Channel.SECOND_AC_POWER,
          Channel.AC_VOLTAGE, Channel.SECOND_AC_VOLTAGE,
          Channel.AC_ENERGY, Channel.SECOND_AC_ENERGY);

  public InstrumentDescription {
    channels = List.copyOf(channels);
    if (name.isBlank() || name.length() > 60) {
      throw new IllegalArgumentException("an instrument has a name of up to 60 letters");
    }
    if (!(everySeconds >= 0.1 && everySeconds <= 3600)) {
      throw new IllegalArgumentException("an instrument reads every 0.1 to 3600 s");
    }
    if (channels.isEmpty() && scope.isEmpty()) {
      throw new IllegalArgumentException("an instrument gives at least one quantity");
    }
    if (modbusUnit < 1 || modbusUnit > 247) {
      throw new IllegalArgumentException("a Modbus unit is between 1 and 247");
    }
  }

  /** One that only reads. */
  public InstrumentDescription(
      String name,
      Transport transport,
      String address,
      int modbusUnit,
      double everySeconds,
      List<ChannelSource> channels) {
    this(
        name,
        transport,
        address,
        modbusUnit,
        everySeconds,
        channels,
        Optional.empty(),
        Optional.empty());
  }

  /** As it stands on the bench. */
  public Instrument instrument() {
    Map<Channel, MeterClass> accuracy = new EnumMap<>(Channel.class);
    for (ChannelSource source : channels) {
      source.effectiveClass().ifPresent(c -> accuracy.put(source.channel(), c));
    }
    return new Instrument(name, channels.stream().map(ChannelSource::channel).toList(), accuracy);
  }

  /** Whether it can switch a load. */
  public boolean switchesLoad() {
    return load.isPresent();
  }

  public InstrumentDescription switching(LoadSwitch other) {
    return new InstrumentDescription(
        name, transport, address, modbusUnit, everySeconds, channels, Optional.of(other), scope);
  }

  public InstrumentDescription named(String other) {
    return new InstrumentDescription(
        other, transport, address, modbusUnit, everySeconds, channels, load, scope);
  }

  public InstrumentDescription at(String other) {
    return new InstrumentDescription(
        name, transport, other, modbusUnit, everySeconds, channels, load, scope);
  }

  public InstrumentDescription with(List<ChannelSource> others) {
    return new InstrumentDescription(
        name, transport, address, modbusUnit, everySeconds, others, load, scope);
  }

  public InstrumentDescription every(double seconds) {
    return new InstrumentDescription(
        name, transport, address, modbusUnit, seconds, channels, load, scope);
  }

  /**
   * The same instruments as they stand in line on one bench: where two read the watts of the
   * outlet, the second one's count as the second meter's, so that they can be compared.
   */
  public static List<InstrumentDescription> inLine(List<InstrumentDescription> all) {
    List<InstrumentDescription> line = new ArrayList<>();
    boolean first = false;
    for (InstrumentDescription description : all) {
      boolean reads =
          description.transport().asked()
              && description.channels().stream().anyMatch(c -> c.channel() == Channel.AC_POWER);
      line.add(reads && first ? description.asSecondMeter() : description);
      first |= reads;
    }
    return List.copyOf(line);
  }

  private InstrumentDescription asSecondMeter() {
    return with(
        channels.stream()
            .filter(c -> c.channel() != Channel.AC_CURRENT && c.channel() != Channel.FREQUENCY)
            .map(c -> c.as(SECOND.getOrDefault(c.channel(), c.channel())))
            .toList());
  }
}
