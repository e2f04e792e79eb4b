/** Ordinary loads, each done several times over. */
package org.wiseember.trial.test.realload;
