package org.wiseember.desktop.model;

import org.wiseember.bench.instrument.InstrumentDescription;

/**
 * An instrument of the tester's own bench.
 *
 * @param id key in the workbook
 */
public record OnBench(long id, InstrumentDescription description) {}
