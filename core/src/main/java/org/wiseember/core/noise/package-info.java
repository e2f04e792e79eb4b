/** Sound levels with the background taken out, and at another distance. */
package org.wiseember.core.noise;
