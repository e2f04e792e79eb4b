/** Units as what runs appliances: by their own runs, and by their labels where those are silent. */
package org.wiseember.trial.runtime;
