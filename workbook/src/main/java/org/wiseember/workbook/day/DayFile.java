package org.wiseember.workbook.day;

import java.time.LocalTime;
import org.wiseember.core.runtime.RunTimeCase;

/**
 * A day as it lies in a file.
 *
 * @param start time of day at which it begins
 */
public record DayFile(LocalTime start, RunTimeCase asked) {}
