package org.wiseember.bench.emulator;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;

/**
 * One instrument as IEEE 488.2 wants it: common commands, status, an error queue, and its own tree
 * of SCPI commands. One program message at a time.
 */
final class ScpiInstrument {
  /** A message of more is no program's. */
  private static final int MOST_COMMANDS = 200;

  private final String identity;
  private final CommandTree tree;
  private final Status status = new Status();
  private boolean answering;

  /**
   * Makes an instrument.
   *
   * @param model short name, part of what {@code *IDN?} answers
   * @param reset what {@code *RST} does beside leaving the status alone
   */
  ScpiInstrument(String model, CommandTree own, Runnable reset) {
    this.identity = "Wise Ember," + model + ",0,1.0";
    this.tree = own;
    own.command(
            "*RST",
            a -> {
              a.none();
              reset.run();
            })
        .command(
            "*CLS",
            a -> {
              a.none();
              status.clear();
            })
        .command(
            "*OPC",
            a -> {
              a.none();
              status.complete();
            })
        .command("*WAI", Arguments::none)
        .command("*ESE", a -> status.eventEnable(a.whole(0, 255)))
        .command("*SRE", a -> status.serviceEnable(a.whole(0, 255)))
        .ask("*IDN?", () -> identity)
        .ask("*OPC?", () -> "1")
        .ask("*TST?", () -> "0")
        .ask("*ESR?", () -> Integer.toString(status.takeEvents()))
        .ask("*ESE?", () -> Integer.toString(status.eventEnable()))
        .ask("*SRE?", () -> Integer.toString(status.serviceEnable()))
        .ask("*STB?", () -> Integer.toString(status.statusByte(answering)))
        .ask("SYSTem:ERRor[:NEXT]?", () -> status.nextError())
        .ask("SYSTem:ERRor:COUNt?", () -> Integer.toString(status.errorCount()))
        .ask("SYSTem:VERSion?", () -> "1999.0")
        .command(
            "STATus:PRESet",
            a -> {
              a.none();
              status.operationEnable(0);
              status.questionableEnable(0);
            })
        .ask("STATus:OPERation[:EVENt]?", () -> "0")
        .ask("STATus:OPERation:CONDition?", () -> "0")
        .command("STATus:OPERation:ENABle", a -> status.operationEnable(a.whole(0, 32_767)))
        .ask("STATus:OPERation:ENABle?", () -> Integer.toString(status.operationEnable()))
        .ask("STATus:QUEStionable[:EVENt]?", () -> "0")
        .ask("STATus:QUEStionable:CONDition?", () -> "0")
        .command("STATus:QUEStionable:ENABle", a -> status.questionableEnable(a.whole(0, 32_767)))
        .ask("STATus:QUEStionable:ENABle?", () -> Integer.toString(status.questionableEnable()));
  }

  void raise(ScpiError error) {
    status.raise(error);
  }

  /**
   * Carries out one program message, which may hold several commands separated by semicolons.
   *
   * @return the answer without its terminator, empty where nothing was asked
   */
  byte[] message(String message) {
    ByteArrayOutputStream answer = new ByteArrayOutputStream();
    // Writing a long answer out takes time; the instrument is free for others meanwhile.
    for (Supplier<byte[]> said : carryOut(message)) {
      if (answer.size() > 0) {
        answer.write(';');
      }
      answer.writeBytes(said.get());
    }
    return answer.toByteArray();
  }

  private synchronized List<Supplier<byte[]>> carryOut(String message) {
    List<Supplier<byte[]>> answers = new ArrayList<>();
    answering = false;
    String path = "";
    List<String> parts = split(message);
    if (parts.size() > MOST_COMMANDS) {
      status.raise(ScpiError.tooMuchData());
      return answers;
    }
    for (int i = 0; i < parts.size(); i++) {
      String unit = parts.get(i).strip();
      if (unit.isEmpty()) {
        if (i < parts.size() - 1) {
          status.raise(ScpiError.syntax());
          break;
        }
        continue;
      }
      int space = 0;
      while (space < unit.length() && !Character.isWhitespace(unit.charAt(space))) {
        space++;
      }
      String header = unit.substring(0, space).toUpperCase(Locale.ROOT);
      boolean common = header.startsWith("*");
      String full = common ? header : header.startsWith(":") ? header.substring(1) : path + header;
      if (!common) {
        int colon = full.lastIndexOf(':');
        path = colon < 0 ? "" : full.substring(0, colon + 1);
      }
      try {
        if (!header.matches("[*:]?[A-Z0-9_:]+\\??")) {
          throw ScpiError.syntax();
        }
        CommandTree.Action action = tree.find(full);
        if (action == null) {
          throw ScpiError.undefinedHeader();
        }
        Supplier<byte[]> said = action.run(new Arguments(unit.substring(space)));
        if (said != null) {
          answers.add(said);
          answering = true;
        }
      } catch (ScpiError e) {
        status.raise(e);
        if (e.eventBit() == Status.COMMAND_ERROR) {
          // The rest of a message that is not understood is not carried out (IEEE 488.2, 6.1.11).
          break;
        }
      }
    }
    return answers;
  }

  /** Parts a message at semicolons that stand outside quotes. */
  private static List<String> split(String message) {
    List<String> parts = new ArrayList<>();
    StringBuilder current = new StringBuilder();
    char quote = 0;
    for (int at = 0; at < message.length(); at++) {
      char c = message.charAt(at);
      quote = quote == 0 && (c == '"' || c == '\'') ? c : quote == c ? 0 : quote;
      if (c == ';' && quote == 0) {
        parts.add(current.toString());
        current.setLength(0);
      } else {
        current.append(c);
      }
    }
    parts.add(current.toString());
    return parts;
  }

  /** A definite-length block of IEEE 488.2, 8.7.9. */
  static byte[] block(byte[] data) {
    String length = Integer.toString(data.length);
    byte[] head = ("#" + length.length() + length).getBytes(StandardCharsets.US_ASCII);
    byte[] all = new byte[head.length + data.length];
    System.arraycopy(head, 0, all, 0, head.length);
    System.arraycopy(data, 0, all, head.length, data.length);
    return all;
  }

  /** A number as NR3, with the SCPI value for none where there is none. */
  static String number(double value) {
    return Double.isFinite(value) ? String.format(Locale.ROOT, "%.6E", value) : "9.91E+37";
  }
}
