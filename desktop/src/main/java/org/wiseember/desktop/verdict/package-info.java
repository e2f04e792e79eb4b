/** The Verdict stage: every claim against the seam. */
package org.wiseember.desktop.verdict;
