package org.wiseember.bench.instrument;

/**
 * A load that was switched on and is not known to be off again.
 *
 * @param instrument that switches it
 * @param why it could not be switched off, a few words without a stop
 */
public record StillOn(InstrumentDescription instrument, String why) {
  /** What a person has to do, in two sentences. */
  public String words() {
    return instrument.name()
        + " switched a load on and could not switch it off: "
        + why
        + ". Pull the plug of that load now.";
  }
}
