/**
 * What stays on when the wall plug is pulled, and while a unit charges: told by eye, without a
 * scope.
 */
package org.wiseember.core.supply;
