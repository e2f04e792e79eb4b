package org.wiseember.workbook.log;

import java.util.List;
import org.wiseember.core.trace.Channel;

/** The units a log may write a channel in. */
public final class LogUnits {
  private LogUnits() {}

  /** The channel's own first. */
  public static List<String> of(Channel channel) {
    return LogColumn.units(channel);
  }
}
