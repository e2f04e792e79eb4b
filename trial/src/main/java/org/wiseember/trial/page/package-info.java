/** A judgement, and a run, in the words and pictures of a page. */
package org.wiseember.trial.page;
