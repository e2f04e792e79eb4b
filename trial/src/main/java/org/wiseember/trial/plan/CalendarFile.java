package org.wiseember.trial.plan;

import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VAlarm;
import biweekly.component.VEvent;
import biweekly.io.text.ICalWriter;
import biweekly.parameter.Related;
import biweekly.property.Trigger;
import biweekly.util.Duration;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.Date;
import java.util.Locale;

/**
 * The parts of a plan somebody has to be there for, as a calendar (RFC 5545), so that a phone
 * reminds. What goes on by itself is told by its beginning alone.
 */
public final class CalendarFile {
  /** Somebody plugs something in, min. */
  private static final long MOMENT = 5;

  private static final int AHEAD = 10;

  /** Octets of a line: RFC 5545, 3.1. */
  private static final int LINE = 75;

  private CalendarFile() {}

  /**
   * Writes it; times are told in UTC, so that every reader shows its own.
   *
   * @param made when it was made
   */
  public static String write(Schedule schedule, Instant made) {
    ICalendar calendar = new ICalendar();
    calendar.setProductId("-//Wise Ember//Plan//EN");
    for (ScheduleStep step : schedule.steps()) {
      if (step.kind() != ScheduleStep.Kind.RUNNING) {
        calendar.addEvent(event(step, schedule.packs().get(step.unit()), made));
      }
    }
    StringWriter text = new StringWriter();
    try (ICalWriter writer = new ICalWriter(text, ICalVersion.V2_0)) {
      // It keeps a space at the end of a line it folds, which makes one more.
      writer.getVObjectWriter().getFoldedLineWriter().setLineLength(LINE - 1);
      writer.write(calendar);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  private static VEvent event(ScheduleStep step, PackState pack, Instant made) {
    VEvent event = new VEvent();
    // The same thing of the same plan takes the place of an earlier one.
    event.setUid(
        step.unit()
            + "-"
            + step.wanted()
                .map(Wanted::key)
                .orElse(
                    step.kind().name().toLowerCase(Locale.ROOT)
                        + "-"
                        + step.from().getEpochSecond())
            + "@wise-ember.invalid");
    event.setDateTimeStamp(Date.from(made));
    event.setSummary(step.words() + ", " + step.unitName());
    event.setDateStart(Date.from(step.from()));
    Instant least = step.from().plusSeconds(60 * MOMENT);
    event.setDateEnd(Date.from(step.attendedTo().isAfter(least) ? step.attendedTo() : least));
    event.setDescription(
        SchedulePage.needs(step, pack)
            + ". Lasts "
            + ScheduleTimes.words(step.lasts())
            + ". Takes "
            + SchedulePage.uses(step)
            + "."
            + step.wanted().map(w -> " " + w.because()).orElse(""));
    Duration before = Duration.builder().prior(true).minutes(AHEAD).build();
    event.addAlarm(VAlarm.display(new Trigger(before, Related.START), step.words()));
    return event;
  }
}
