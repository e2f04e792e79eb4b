/**
 * Runs of what is no unit: appliances that were watched, the mains and generators by themselves.
 */
package org.wiseember.trial.beside;
