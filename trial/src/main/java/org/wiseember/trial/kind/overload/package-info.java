/** Loads above the rating, held until they trip. */
package org.wiseember.trial.kind.overload;
