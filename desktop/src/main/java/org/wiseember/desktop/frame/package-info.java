/** The frame round the stages: shelf, path, foot, find, help. */
package org.wiseember.desktop.frame;
