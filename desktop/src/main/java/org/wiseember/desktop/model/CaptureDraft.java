package org.wiseember.desktop.model;

import java.nio.file.Path;
import org.wiseember.trial.wave.Wave;
import org.wiseember.workbook.log.ReadCapture;

/**
 * A capture before it is kept.
 *
 * @param read as it stands in the file
 * @param looked worked out
 */
public record CaptureDraft(Path file, ReadCapture read, Wave looked) {}
