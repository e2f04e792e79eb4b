/** Two units joined for one 240 V load: what each leg carries. */
package org.wiseember.core.split;
