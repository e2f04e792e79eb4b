/**
 * What a unit draws from its own pack with nothing plugged in, by three ways of finding out, and
 * what that means for small loads.
 */
package org.wiseember.core.idle;
