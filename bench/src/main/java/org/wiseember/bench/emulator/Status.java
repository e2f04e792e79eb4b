package org.wiseember.bench.emulator;

import java.util.ArrayDeque;
import java.util.Deque;

/**
 * Status registers and error queue of an instrument (IEEE 488.2 chapter 11, SCPI-99 volume 1
 * chapter 9).
 */
final class Status {
  static final int OPERATION_COMPLETE = 1;
  static final int QUERY_ERROR = 4;
  static final int DEVICE_ERROR = 8;
  static final int EXECUTION_ERROR = 16;
  static final int COMMAND_ERROR = 32;
  static final int POWER_ON = 128;

  private static final int ERROR_AVAILABLE = 4;
  private static final int MESSAGE_AVAILABLE = 16;
  private static final int EVENT_SUMMARY = 32;
  private static final int MASTER_SUMMARY = 64;
  private static final int QUEUE = 20;

  private final Deque<ScpiError> errors = new ArrayDeque<>();
  private int events = POWER_ON;
  private int eventEnable;
  private int serviceEnable;
  private int operationEnable;
  private int questionableEnable;

  void raise(ScpiError error) {
    events |= error.eventBit();
    if (errors.size() >= QUEUE) {
      // The newest gives way to the word that there were more (SCPI-99, 21.8.1).
      errors.removeLast();
      errors.addLast(ScpiError.queueOverflow());
    } else {
      errors.addLast(error);
    }
  }

  String nextError() {
    return errors.isEmpty() ? "0,\"No error\"" : errors.removeFirst().line();
  }

  int errorCount() {
    return errors.size();
  }

  void complete() {
    events |= OPERATION_COMPLETE;
  }

  int takeEvents() {
    int now = events;
    events = 0;
    return now;
  }

  void clear() {
    events = 0;
    errors.clear();
  }

  void eventEnable(int mask) {
    eventEnable = mask & 0xff;
  }

  int eventEnable() {
    return eventEnable;
  }

  void serviceEnable(int mask) {
    serviceEnable = mask & 0xff & ~MASTER_SUMMARY;
  }

  int serviceEnable() {
    return serviceEnable;
  }

  void operationEnable(int mask) {
    operationEnable = mask;
  }

  int operationEnable() {
    return operationEnable;
  }

  void questionableEnable(int mask) {
    questionableEnable = mask;
  }

  int questionableEnable() {
    return questionableEnable;
  }

  /**
   * The status byte.
   *
   * @param answering whether an answer waits to be sent
   */
  int statusByte(boolean answering) {
    int status = errors.isEmpty() ? 0 : ERROR_AVAILABLE;
    status |= answering ? MESSAGE_AVAILABLE : 0;
    status |= (events & eventEnable) != 0 ? EVENT_SUMMARY : 0;
    return (status & serviceEnable) != 0 ? status | MASTER_SUMMARY : status;
  }
}
