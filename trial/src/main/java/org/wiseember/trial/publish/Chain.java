package org.wiseember.trial.publish;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.wiseember.workbook.pack.ArchiveWriter;
import org.wiseember.workbook.pack.SealedArchive;

/** The runs of a package as a chain: none can be taken out, added or put elsewhere unseen. */
final class Chain {
  private Chain() {}

  /** What of it does not fit, a sentence each. */
  static List<String> problems(SealedArchive archive) {
    List<String> problems = new ArrayList<>();
    String link = "";
    int number = 0;
    for (JsonNode run : archive.json(SealedArchive.DESCRIPTOR).path("wiseEmber").path("runs")) {
      number++;
      link = ArchiveWriter.link(link, lines(archive, UnitPackage.folder(number)));
      if (run.path("run").asInt() != number || !run.path("chain").asText().equals(link)) {
        problems.add(
            "The chain of runs breaks at run "
                + number
                + ": a run before or at it was changed, taken out or added.");
        return problems;
      }
    }
    int last = number;
    archive.files().keySet().stream()
        .filter(f -> f.startsWith("runs/"))
        .filter(f -> !f.matches("runs/(" + numbers(last) + ")/.*"))
        .findFirst()
        .ifPresent(f -> problems.add(f + " belongs to no run of the chain."));
    return problems;
  }

  private static String numbers(int last) {
    List<String> all = new ArrayList<>();
    for (int i = 1; i <= last; i++) {
      all.add(String.valueOf(i));
    }
    return String.join("|", all);
  }

  private static List<String> lines(SealedArchive archive, String folder) {
    List<String> lines = new ArrayList<>();
    for (Map.Entry<String, String> file : archive.files().entrySet()) {
      if (file.getKey().startsWith(folder)) {
        lines.add(ArchiveWriter.line(file.getValue(), file.getKey()));
      }
    }
    return lines;
  }
}
