package org.wiseember.command;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import org.wiseember.trial.finding.Findings;
import org.wiseember.trial.publish.PackageCheck;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** What was published, worked out again. */
@Command(
    name = "verify",
    description = {
      "Checks every file of a package, works every published figure out again from the packed",
      "readings, and says of each whether it is the same. Exit code 1 where anything is not."
    },
    mixinStandardHelpOptions = true)
final class VerifyCommand implements Callable<Integer> {
  private static final int DIFFERS = 1;

  @Spec private CommandSpec spec;

  @Parameters(paramLabel = "PACKAGE", description = "The package.")
  private Path file;

  @Option(names = "--json", description = "One JSON object on standard output.")
  private boolean json;

  @Override
  public Integer call() throws IOException {
    PackageCheck check = PackageCheck.of(file, Clock.systemUTC());
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      out.println(json(check));
    } else {
      text(check, out);
    }
    return check.good() ? 0 : DIFFERS;
  }

  private static String json(PackageCheck check) throws JsonProcessingException {
    ObjectMapper mapper = new ObjectMapper();
    ObjectNode root = mapper.createObjectNode();
    root.put("unit", check.unit());
    root.put("same", check.good());
    root.put("method", check.method());
    root.put("methodHere", Findings.method());
    if (check.signed().isPresent()) {
      root.putObject("signature")
          .put("fingerprint", check.signed().get().fingerprint())
          .put("good", check.signed().get().good());
    } else {
      root.putNull("signature");
    }
    check.problems().forEach(root.putArray("problems")::add);
    lines(root.putArray("figures"), check.figures());
    lines(root.putArray("verdicts"), check.verdicts());
    return mapper.writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }

  private static void lines(ArrayNode all, List<PackageCheck.Line> lines) {
    for (PackageCheck.Line line : lines) {
      ObjectNode node = all.addObject();
      if (line.run() > 0) {
        node.put("run", line.run()).put("key", line.key());
      } else {
        node.put("subject", line.key());
      }
      node.put("name", line.name());
      node.put("unit", line.unit());
      number(node, "published", line.published());
      number(node, "here", line.here());
      node.put("same", line.same());
      node.put("differs", line.differs().orElse(null));
    }
  }

  private static void number(ObjectNode node, String key, OptionalDouble value) {
    if (value.isPresent()) {
      node.put(key, value.getAsDouble());
    } else {
      node.putNull(key);
    }
  }

  private static void text(PackageCheck check, PrintWriter out) {
    for (PackageCheck.Line line : check.figures()) {
      out.printf(
          "%-9s run %-3d %-34s %s%s%n",
          line.same() ? "same" : "DIFFERS",
          line.run(),
          line.name(),
          line.published().isPresent() ? line.published().getAsDouble() + " " + line.unit() : "–",
          line.differs().map(d -> "; " + d).orElse(""));
    }
    for (PackageCheck.Line line : check.verdicts()) {
      out.printf(
          "%-9s verdict %-33s%s%n",
          line.same() ? "same" : "DIFFERS",
          line.name(),
          line.differs().map(d -> "; " + d).orElse(""));
    }
    check.problems().forEach(p -> out.println("WRONG     " + p));
    long differ =
        check.figures().stream().filter(l -> !l.same()).count()
            + check.verdicts().stream().filter(l -> !l.same()).count();
    out.println(
        check.unit()
            + ": "
            + check.figures().size()
            + " figures and "
            + check.verdicts().size()
            + " verdicts, "
            + (differ == 0 ? "all the same" : differ + " of them not the same")
            + "; "
            + (check.problems().isEmpty()
                ? "every file is as it was packed."
                : check.problems().size() + " things wrong with its files."));
    if (!check.sameMethod()) {
      out.println(
          "It was worked out by another version of the method ("
              + check.method()
              + ", here "
              + Findings.method()
              + "); that by itself is no fault.");
    }
    out.println(
        check
            .signed()
            .map(
                s ->
                    s.good()
                        ? "Signed by the key "
                            + s.fingerprint()
                            + "; compare that with what its maker says is theirs."
                        : "Its signature is not good.")
            .orElse("Nobody signed it; who packed it is not known."));
  }
}
