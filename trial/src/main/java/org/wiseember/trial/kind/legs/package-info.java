/** Two units joined for a 240 V load. */
package org.wiseember.trial.kind.legs;
