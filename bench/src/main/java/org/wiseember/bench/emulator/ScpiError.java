package org.wiseember.bench.emulator;

/** What goes wrong with a SCPI message: number and text of SCPI-99 volume 2, chapter 21. */
final class ScpiError extends Exception {
  private static final long serialVersionUID = 1L;

  private final int number;

  private ScpiError(int number, String text) {
    super(text);
    this.number = number;
  }

  int number() {
    return number;
  }

  /** As {@code SYSTem:ERRor?} answers it. */
  String line() {
    return number + ",\"" + getMessage() + "\"";
  }

  /** The bit it sets in the standard event status register (IEEE 488.2, 11.5.1). */
  int eventBit() {
    int hundreds = -number / 100;
    return switch (hundreds) {
      case 1 -> Status.COMMAND_ERROR;
      case 2 -> Status.EXECUTION_ERROR;
      case 4 -> Status.QUERY_ERROR;
      default -> Status.DEVICE_ERROR;
    };
  }

  static ScpiError syntax() {
    return new ScpiError(-102, "Syntax error");
  }

  static ScpiError dataType() {
    return new ScpiError(-104, "Data type error");
  }

  static ScpiError parameterNotAllowed() {
    return new ScpiError(-108, "Parameter not allowed");
  }

  static ScpiError missingParameter() {
    return new ScpiError(-109, "Missing parameter");
  }

  static ScpiError undefinedHeader() {
    return new ScpiError(-113, "Undefined header");
  }

  static ScpiError suffix() {
    return new ScpiError(-131, "Invalid suffix");
  }

  static ScpiError outOfRange() {
    return new ScpiError(-222, "Data out of range");
  }

  static ScpiError tooMuchData() {
    return new ScpiError(-223, "Too much data");
  }

  static ScpiError illegalValue() {
    return new ScpiError(-224, "Illegal parameter value");
  }

  static ScpiError noData() {
    return new ScpiError(-230, "Data corrupt or stale");
  }

  static ScpiError queueOverflow() {
    return new ScpiError(-350, "Queue overflow");
  }

  static ScpiError inputOverrun() {
    return new ScpiError(-363, "Input buffer overrun");
  }
}
