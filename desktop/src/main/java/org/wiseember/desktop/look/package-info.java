/** How the window looks: style sheet from tokens, faces, small building blocks. */
package org.wiseember.desktop.look;
