/**
 * A campaign of tests: what comes when, so that each finds what it needs and nobody waits in vain.
 */
package org.wiseember.core.plan;
