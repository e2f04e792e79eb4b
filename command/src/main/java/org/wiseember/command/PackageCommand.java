package org.wiseember.command;

import java.io.IOException;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.Clock;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.wiseember.trial.publish.UnitPackage;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.pack.Signing;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** A unit with every reading, for others to check. */
@Command(
    name = "package",
    description = {
      "Packs a unit with its label, every reading, every figure and every verdict, so that anybody",
      "can work the figures out again with verify."
    },
    mixinStandardHelpOptions = true)
final class PackageCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "WORKBOOK", description = "The workbook; it is only read.")
  private Path workbookFile;

  @Option(names = "--unit", required = true, paramLabel = "NAME", description = "The unit.")
  private String unitName;

  @Option(names = "--out", required = true, paramLabel = "FILE.zip", description = "The package.")
  private Path out;

  @Option(
      names = "--key",
      paramLabel = "FILE",
      description = {
        "Signs it with the Ed25519 key in this file (PKCS #8, PEM).",
        "Where there is none yet a new one is made, which only you may read. Keep it."
      })
  private Path key;

  @Option(names = "--plain", description = "Verdicts without the guard band.")
  private boolean plain;

  @Override
  public Integer call() throws IOException {
    Clock clock = Clock.systemUTC();
    try (Workbook workbook = Workbook.read(workbookFile, clock)) {
      Judgement judgement = Judgement.of(workbook, UnitChoice.of(workbook, unitName), !plain);
      Optional<Signing> signing =
          key == null ? Optional.empty() : Optional.of(Signing.in(key, new SecureRandom()));
      UnitPackage.write(workbook, judgement, out, clock.instant(), signing);
      spec.commandLine()
          .getOut()
          .println(
              "Packed "
                  + judgement.unit().name()
                  + " with "
                  + judgement.all().size()
                  + (judgement.all().size() == 1 ? " run into " : " runs into ")
                  + out
                  + signing
                      .map(s -> ". Signed; the SHA-256 of your public key is " + s.fingerprint())
                      .orElse("")
                  + ".");
    }
    return 0;
  }
}
