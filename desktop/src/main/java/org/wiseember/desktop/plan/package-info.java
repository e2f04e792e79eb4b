/** The Plan stage: what may go into the solar port, and which cable carries what. */
package org.wiseember.desktop.plan;
