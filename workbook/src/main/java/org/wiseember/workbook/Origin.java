package org.wiseember.workbook;

import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import org.wiseember.workbook.json.Records;

/**
 * Where a unit comes from that somebody else tested.
 *
 * @param file name of the package it came in
 * @param fingerprint SHA-256 of the package's list of hashes, by which it is known again
 * @param signedBy SHA-256 of the key it was signed with; empty for unsigned
 * @param takenIn when
 */
public record Origin(String file, String fingerprint, String signedBy, Instant takenIn) {
  private static final int SHORT = 16;

  /** Why nothing of one's own is added to such a unit, one sentence. */
  public static final String NOT_YOURS =
      "This unit is somebody else's: it came in a package and stays as they tested it. Add a unit of"
          + " your own for what you test.";

  public Origin {
    Objects.requireNonNull(takenIn);
  }

  /** {@code from quern.zip, signed by the key 3f9a0c1e…}. */
  public String words() {
    return "somebody else's, from "
        + file
        + (signedBy.isEmpty()
            ? ", unsigned"
            : ", signed by the key " + signedBy.substring(0, Math.min(SHORT, signedBy.length())));
  }

  String json() {
    return Records.write(this);
  }

  /** What was kept; whatever stands there, the unit is not one's own. */
  static Optional<Origin> read(String json) {
    if (json == null || json.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(Records.read(json, Origin.class));
    } catch (IllegalArgumentException damaged) {
      return Optional.of(new Origin("a package", "", "", Instant.EPOCH));
    }
  }
}
