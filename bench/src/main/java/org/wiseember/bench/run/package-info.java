/** Runs a procedure on a bench, hands every frame to a recorder, and tells who watches. */
package org.wiseember.bench.run;
