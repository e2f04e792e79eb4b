/** A unit's label held against what its runs found. */
package org.wiseember.trial.verdict;
