package org.wiseember.bench.simulated;

/**
 * How a simulated unit stands before a test.
 *
 * @param stateOfCharge of its pack, 0 to 1
 * @param packCelsius of its cells and case, °C
 * @param roomCelsius of the room, °C
 */
public record Start(double stateOfCharge, double packCelsius, double roomCelsius) {
  private static final double ROOM_CELSIUS = 21.8;

  /** Rested until it is as warm as the room. */
  public static Start rested(double stateOfCharge) {
    return new Start(stateOfCharge, ROOM_CELSIUS, ROOM_CELSIUS);
  }
}
