package org.wiseember.workbook.pack;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Checksums by SHA-256 (FIPS 180-4), in hexadecimal. */
final class Sha256 {
  private Sha256() {}

  static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java has SHA-256", e);
    }
  }

  static String hex(MessageDigest digest) {
    return HexFormat.of().formatHex(digest.digest());
  }

  static String of(byte[] bytes) {
    return HexFormat.of().formatHex(digest().digest(bytes));
  }

  static String of(String text) {
    return of(text.getBytes(StandardCharsets.UTF_8));
  }

  /** Of all a stream gives. */
  static String of(InputStream in) throws IOException {
    MessageDigest digest = digest();
    try (DigestInputStream reading = new DigestInputStream(in, digest)) {
      reading.transferTo(OutputStream.nullOutputStream());
    }
    return hex(digest);
  }
}
