/** What feeds a simulated unit on its DC input. */
package org.wiseember.bench.simulated.feed;
