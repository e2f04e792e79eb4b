/** Ordinary loads, each done several times over. */
package org.wiseember.trial.kind.realload;
