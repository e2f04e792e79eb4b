/** The Bench stage: a test while it runs. */
package org.wiseember.desktop.bench;
