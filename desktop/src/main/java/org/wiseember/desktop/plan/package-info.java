/**
 * The Plan stage: which test of which unit comes when, what may go into a solar port, and which
 * cable carries what.
 */
package org.wiseember.desktop.plan;
