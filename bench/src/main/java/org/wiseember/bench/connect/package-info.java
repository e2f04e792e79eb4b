/**
 * Real instruments: lines and blocks over a socket or a serial port, SCPI and Modbus on top, a
 * thread for each so that a dead one holds nobody up, and the bench they make together.
 */
package org.wiseember.bench.connect;
