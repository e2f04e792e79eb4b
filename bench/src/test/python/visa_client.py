"""Talks to the stand-ins through PyVISA with its pure Python backend and prints what it gets."""
import sys
import pyvisa

ports = dict(pair.split("=") for pair in sys.argv[1:])
manager = pyvisa.ResourceManager("@py")


def opened(name):
    device = manager.open_resource(
        "TCPIP::127.0.0.1::%s::SOCKET" % ports[name],
        read_termination="\n",
        write_termination="\n",
    )
    device.timeout = 5000
    return device


meter = opened("meter")
print("idn", meter.query("*IDN?"))
meter.write("*RST")
meter.write("*CLS")
meter.write("OUTP ON")
print("opc", meter.query("*OPC?"))
print("watts", meter.query_ascii_values("MEAS:POW?")[0])
print("both", len(meter.query_ascii_values("MEAS:VOLT?;FREQ?", separator=";")))
meter.write("MEAS:NOTHING?")
print("error", meter.query("SYST:ERR?"))
print("esr", meter.query("*ESR?"))
print("none", meter.query("SYST:ERR?"))

scope = opened("scope")
scope.write("SWE:TIME 0.1;POIN 1000;:FORM INT,16;:INIT")
counts = scope.query_binary_values("TRAC? CHAN1", datatype="h", is_big_endian=True)
print("counts", len(counts), max(counts) > 1000 and min(counts) < -1000)
scope.write("FORM REAL,32")
volts = scope.query_binary_values("TRAC? CHAN1", datatype="f", is_big_endian=True)
print("rms", (sum(v * v for v in volts) / len(volts)) ** 0.5)
scope.write("FORM ASC")
print("ascii", len(scope.query_ascii_values("TRAC? CHAN2")))
