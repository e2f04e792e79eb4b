"""Works the delivered energy of every whole AC drain out again from the packed readings.

Knows nothing of the program: the formula is the trapezoid rule over the loaded readings, from the
first to the one in which the output was found gone.
"""
import csv
import hashlib
import io
import json
import statistics
import sys
import zipfile

archive = zipfile.ZipFile(sys.argv[1])
for line in archive.read("hashes.txt").decode().splitlines():
    digest, name = line.split("  ", 1)
    if hashlib.sha256(archive.read(name)).hexdigest() != digest:
        sys.exit(name + " does not fit its hash")

wrong = 0
for run in json.loads(archive.read("figures.json"))["runs"]:
    if run["kind"] != "ac-drain" or run["aside"]:
        continue
    facts = json.loads(archive.read("runs/%d/run.json" % run["run"]))
    if facts.get("treatment") or facts["settings"].get("corrections"):
        continue
    published = [f for f in run["figures"] if f["key"] == "delivered_energy"]
    samples = archive.read("runs/%d/samples.csv" % run["run"]).decode()
    rows = list(csv.DictReader(io.StringIO(samples)))
    read = [(float(r["time [s]"]), float(r["ac_power [W]"])) for r in rows if r["ac_power [W]"]]
    if not published or len(read) < 100:
        continue
    loaded = statistics.median(p for _, p in read) / 10
    first = next(i for i, (_, p) in enumerate(read) if p > loaded)
    last = max(i for i, (_, p) in enumerate(read) if p > loaded)
    joules = sum(
        (read[i + 1][0] - read[i][0]) * (read[i + 1][1] + read[i][1]) / 2
        for i in range(first, min(last + 1, len(read) - 1))
    )
    energy, value = joules / 3600, published[0]["value"]
    print("energy of run %d %.9f Wh, published %.9f Wh" % (run["run"], energy, value))
    if abs(energy - value) > 1e-9 * value:
        wrong += 1
sys.exit(wrong)
