/**
 * Several units beside each other: which is better in what, which is beaten, and how sure that is.
 */
package org.wiseember.core.lineup;
