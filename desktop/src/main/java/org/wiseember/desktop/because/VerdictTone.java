package org.wiseember.desktop.because;

import org.wiseember.core.verdict.Standing;

/** The style that goes with a standing. */
public final class VerdictTone {
  private VerdictTone() {}

  /** Style class for the word of a standing. */
  public static String of(Standing standing) {
    return switch (standing) {
      case KEPT -> "kept";
      case SHORT -> "short-of";
      case TOO_CLOSE -> "close";
      case RIG_CANNOT_SHOW, NOT_TESTED -> "untested";
    };
  }
}
