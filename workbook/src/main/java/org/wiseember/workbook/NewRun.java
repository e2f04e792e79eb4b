package org.wiseember.workbook;

import java.time.Instant;

/**
 * What is known of a run when it is put into a workbook.
 *
 * @param of the unit or other subject it is of
 * @param kind short stable name of the procedure
 * @param title as shown
 * @param settings what it is made with
 */
public record NewRun(
    RunOf of, String kind, String title, Instant startedAt, RunSettings settings) {}
