/**
 * Stand-ins for instruments: a simulated unit behind SCPI and Modbus servers, at the sockets real
 * instruments would have. They listen on loopback only. Commands and registers are in
 * docs/stand-ins.md.
 */
package org.wiseember.bench.emulator;
