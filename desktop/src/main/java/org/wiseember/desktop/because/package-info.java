/** Why a figure is what it is. */
package org.wiseember.desktop.because;
