/** What stands on the bench: instruments with their channels and accuracy, and one bench clock. */
package org.wiseember.bench.instrument;
