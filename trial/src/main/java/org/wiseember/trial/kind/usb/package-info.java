/** USB ports asked for their profiles. */
package org.wiseember.trial.kind.usb;
