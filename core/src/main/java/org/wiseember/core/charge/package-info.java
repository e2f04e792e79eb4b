/** How a unit charges: energy in, peak, where it tapers, how long it takes. */
package org.wiseember.core.charge;
