/** Loads above the rating, held until they trip. */
package org.wiseember.trial.test.overload;
