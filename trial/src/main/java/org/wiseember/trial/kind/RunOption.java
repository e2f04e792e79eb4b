package org.wiseember.trial.kind;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a command may be told of a run that was read elsewhere, beside its file.
 *
 * @param name {@code distance}
 * @param takes what it takes, as it stands in a sentence: {@code a number}
 * @param read what it says, as particulars of the run; empty for what it does not take
 */
public record RunOption(
    String name, String takes, Function<String, Optional<Map<String, String>>> read) {}
