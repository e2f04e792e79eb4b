/** Conversion efficiency over a ladder of loads. */
package org.wiseember.trial.kind.ladder;
