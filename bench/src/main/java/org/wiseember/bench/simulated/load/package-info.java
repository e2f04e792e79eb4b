/** What hangs on a simulated outlet, and what it draws. */
package org.wiseember.bench.simulated.load;
