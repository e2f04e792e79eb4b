/** Several units of the shelf beside each other, by what their runs found. */
package org.wiseember.trial.lineup;
