/** Panels as they were tried on a port: what each arrangement gave, compared at like light. */
package org.wiseember.core.solar.tried;
