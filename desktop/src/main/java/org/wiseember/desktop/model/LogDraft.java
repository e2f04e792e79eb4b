package org.wiseember.desktop.model;

import java.nio.file.Path;
import org.wiseember.workbook.log.LogMapping;
import org.wiseember.workbook.log.LogPreview;

/**
 * A log before it is read in.
 *
 * @param mapping guessed, or remembered from the last file with these headings
 * @param remembered whether it was
 */
public record LogDraft(Path file, LogPreview preview, LogMapping mapping, boolean remembered) {}
