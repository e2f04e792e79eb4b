/** The output's wave at several loads. */
package org.wiseember.trial.kind.waveform;
