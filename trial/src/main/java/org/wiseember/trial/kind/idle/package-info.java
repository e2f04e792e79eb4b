/** What a unit draws at rest. */
package org.wiseember.trial.kind.idle;
