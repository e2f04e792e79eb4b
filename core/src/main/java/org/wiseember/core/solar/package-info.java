/** Panels, their arrangements, and what a port makes of them. */
package org.wiseember.core.solar;
