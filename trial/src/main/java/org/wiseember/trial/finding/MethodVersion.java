package org.wiseember.trial.finding;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.wiseember.bench.procedure.Procedure;
import org.wiseember.core.figure.Figure;
import org.wiseember.workbook.Workbook;

/**
 * Tells one version of the arithmetic from another by the compiled classes that do it, so that
 * nobody has to remember to count a number up: where a formula changed, everything is worked out
 * again.
 */
final class MethodVersion {
  /** One of each part that has a say in a figure: formulas, procedures, what is kept, tests. */
  static final List<Class<?>> PARTS =
      List.of(Figure.class, Procedure.class, Workbook.class, MethodVersion.class);

  private static final String VERSION = of(PARTS);

  private MethodVersion() {}

  /** Of this program. */
  static String current() {
    return VERSION;
  }

  /** A checksum over all classes that lie beside these. */
  static String of(List<Class<?>> beside) {
    CRC32 sum = new CRC32();
    for (Class<?> type : beside) {
      try {
        Path place = Path.of(type.getProtectionDomain().getCodeSource().getLocation().toURI());
        sums(place)
            .forEach(
                (name, value) ->
                    sum.update((name + value).getBytes(java.nio.charset.StandardCharsets.UTF_8)));
      } catch (URISyntaxException | IOException e) {
        throw new IllegalStateException("the program cannot read its own classes", e);
      }
    }
    return Long.toHexString(sum.getValue());
  }

  static Map<String, Long> sums(Path place) throws IOException {
    Map<String, Long> sums = new TreeMap<>();
    if (Files.isRegularFile(place)) {
      // An archive keeps the checksums of its files; none has to be read.
      try (ZipFile archive = new ZipFile(place.toFile())) {
        archive.stream()
            .filter(e -> e.getName().endsWith(".class"))
            .forEach((ZipEntry e) -> sums.put(e.getName(), e.getCrc()));
      }
      return sums;
    }
    try (Stream<Path> files = Files.walk(place)) {
      files
          .filter(f -> f.toString().endsWith(".class"))
          .forEach(f -> sums.put(place.relativize(f).toString(), sum(f)));
    }
    return sums;
  }

  private static long sum(Path file) {
    CRC32 sum = new CRC32();
    try (InputStream in = Files.newInputStream(file)) {
      sum.update(in.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return sum.getValue();
  }
}
