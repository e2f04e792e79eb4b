package org.wiseember.trial.kind;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.wiseember.workbook.RunSettings;

/** How good probe and scope of a run were, where somebody said it: ± % of reading. */
public final class ScopeClass {
  private static final String SCOPE = "scopeAccuracy";

  private ScopeClass() {}

  /** As the particulars of a run. */
  public static Map<String, String> told(double percent) {
    return Map.of(SCOPE, Double.toString(percent));
  }

  /** Of a run; empty where nobody said. */
  public static OptionalDouble of(RunSettings settings) {
    return Optional.ofNullable(settings.particulars().get(SCOPE))
        .map(StoredSettings::percent)
        .orElseGet(OptionalDouble::empty);
  }
}
