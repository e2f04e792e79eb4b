package org.wiseember.workbook.pack;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.wiseember.core.trace.Trace;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.Workbook;

/**
 * By what a run is known again in another workbook: its kind, when it began, and all that was read,
 * typed, pressed and captured. Its title, what was decided about it and its place do not count.
 */
final class RunFingerprint {
  private RunFingerprint() {}

  static String of(Workbook workbook, Run run) throws IOException {
    MessageDigest digest = Sha256.digest();
    add(digest, run.kind());
    add(digest, run.startedAt().toString());
    Trace trace = workbook.runs().trace(run);
    // In the order of the channels, whatever order they were kept in.
    RunPackage.table("", trace, trace.channels().stream().sorted().toList())
        .content()
        .into(new Into(digest));
    for (StoredCapture kept : workbook.captures().of(run.id())) {
      add(digest, String.valueOf(kept.seconds()));
      CaptureCsv.write(kept.capture(), new Into(digest));
    }
    for (StoredReading r : workbook.typedReadings().of(run.id())) {
      add(digest, r.seconds() + " " + r.meter() + " " + r.channel().key() + " " + r.value());
    }
    for (NotebookLine l : workbook.notebook().of(run.id())) {
      add(
          digest,
          (l.when().isKnown() ? l.earliest() : l.seconds())
              + " "
              + l.press().map(p -> p.key()).orElse("")
              + " "
              + l.words());
    }
    return Sha256.hex(digest);
  }

  /** With its length, so that where one word ends counts too. */
  private static void add(MessageDigest digest, String words) {
    byte[] bytes = words.getBytes(StandardCharsets.UTF_8);
    digest.update((bytes.length + " ").getBytes(StandardCharsets.UTF_8));
    digest.update(bytes);
  }

  private static final class Into extends FilterOutputStream {
    private final MessageDigest digest;

    Into(MessageDigest digest) {
      super(OutputStream.nullOutputStream());
      this.digest = digest;
    }

    @Override
    public void write(int one) {
      digest.update((byte) one);
    }

    @Override
    public void write(byte[] data, int from, int length) {
      digest.update(data, from, length);
    }
  }
}
