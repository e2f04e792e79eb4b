/**
 * What runs found, as others may build on it: how a unit emptied, filled, held and started, by
 * whichever test told it.
 */
package org.wiseember.trial.kind.found;
