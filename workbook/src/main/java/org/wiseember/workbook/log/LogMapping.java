package org.wiseember.workbook.log;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.wiseember.core.trace.Channel;

/**
 * How a file's columns are read.
 *
 * @param headingRow line of the headings, counted from 1; what stands above is passed over
 * @param separator between columns
 * @param decimalComma whether numbers may be written with a comma
 * @param timeColumn column of the time, counted from 0
 * @param dateColumn column of the date where it stands apart; −1 where it does not
 * @param timeForm how the time is written
 * @param uses one for each column that is used
 */
public record LogMapping(
    int headingRow,
    char separator,
    boolean decimalComma,
    int timeColumn,
    int dateColumn,
    TimeForm timeForm,
    List<Use> uses) {
  private static final ObjectMapper JSON = new ObjectMapper();

  public LogMapping {
    uses = List.copyOf(uses);
  }

  /**
   * One column that is used.
   *
   * @param column counted from 0
   * @param channel what it becomes
   * @param unit it is written in
   */
  public record Use(int column, Channel channel, String unit) {}

  /** What a column is used for; empty where it is not. */
  public Optional<Use> use(int column) {
    return uses.stream().filter(u -> u.column() == column).findFirst();
  }

  /** Whether some column is taken as this channel. */
  public boolean reads(Channel channel) {
    return uses.stream().anyMatch(u -> u.channel() == channel);
  }

  /** The same mapping with one column used otherwise, or not at all. */
  public LogMapping with(int column, Optional<Use> use) {
    List<Use> others = new ArrayList<>(uses);
    others.removeIf(u -> u.column() == column);
    use.ifPresent(
        wanted -> {
          others.removeIf(u -> u.channel() == wanted.channel());
          others.add(wanted);
        });
    boolean wasTime = column == timeColumn || column == dateColumn;
    return new LogMapping(
        headingRow,
        separator,
        decimalComma,
        wasTime && column == timeColumn ? -1 : timeColumn,
        wasTime && column == dateColumn ? -1 : dateColumn,
        timeForm,
        others);
  }

  /** The same mapping with the time in another column. */
  public LogMapping withTime(int column, TimeForm form) {
    List<Use> others = new ArrayList<>(uses);
    others.removeIf(u -> u.column() == column);
    return new LogMapping(
        headingRow,
        separator,
        decimalComma,
        column,
        dateColumn == column ? -1 : dateColumn,
        form,
        others);
  }

  /** The same mapping with the date in a column of its own. */
  public LogMapping withDate(int column) {
    List<Use> others = new ArrayList<>(uses);
    others.removeIf(u -> u.column() == column);
    return new LogMapping(
        headingRow,
        separator,
        decimalComma,
        timeColumn == column ? -1 : timeColumn,
        column,
        timeForm,
        others);
  }

  /** Whether it can be used: there is a time and something to read. */
  public boolean whole() {
    return timeColumn >= 0 && !uses.isEmpty();
  }

  /** As JSON, as the workbook remembers it. */
  public String json() {
    ObjectNode node = JSON.createObjectNode();
    node.put("headingRow", headingRow)
        .put("separator", String.valueOf(separator))
        .put("decimalComma", decimalComma)
        .put("timeColumn", timeColumn)
        .put("dateColumn", dateColumn)
        .put("timeForm", timeForm.name());
    ArrayNode array = node.putArray("uses");
    for (Use use : uses) {
      array
          .addObject()
          .put("column", use.column())
          .put("channel", use.channel().key())
          .put("unit", use.unit());
    }
    return node.toString();
  }

  /** Reads what {@link #json} wrote; empty where it is something else. */
  public static Optional<LogMapping> read(String json) {
    try {
      JsonNode node = JSON.readTree(json);
      List<Use> uses = new ArrayList<>();
      for (JsonNode use : node.path("uses")) {
        Optional<Channel> channel = Channel.byKey(use.path("channel").asText());
        channel.ifPresent(
            c -> uses.add(new Use(use.path("column").asInt(), c, use.path("unit").asText())));
      }
      String separator = node.path("separator").asText(",");
      return Optional.of(
          new LogMapping(
              node.path("headingRow").asInt(1),
              separator.isEmpty() ? ',' : separator.charAt(0),
              node.path("decimalComma").asBoolean(),
              node.path("timeColumn").asInt(-1),
              node.path("dateColumn").asInt(-1),
              TimeForm.valueOf(node.path("timeForm").asText("SECONDS")),
              uses));
    } catch (JsonProcessingException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
