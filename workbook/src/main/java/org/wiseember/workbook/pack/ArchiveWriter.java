package org.wiseember.workbook.pack;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;

/**
 * Writes an archive as {@link SealedArchive} reads it: files first, then what describes them, then
 * the list of all hashes, then the signature. The same files give the same bytes.
 */
public final class ArchiveWriter {
  private static final ObjectMapper JSON = new ObjectMapper();

  private final ZipOutputStream zip;
  private final Instant at;
  private final StringBuilder hashes = new StringBuilder();
  private final ArrayNode resources = JSON.createArrayNode();
  private final List<String> open = new ArrayList<>();

  /**
   * Begins one.
   *
   * @param out not closed
   * @param at the time its files bear
   */
  public ArchiveWriter(OutputStream out, Instant at) {
    this.zip = new ZipOutputStream(out);
    this.at = at;
  }

  /** Adds a JSON file. */
  public void json(String path, JsonNode content) throws IOException {
    ObjectNode resource = JSON.createObjectNode();
    resource.put("name", slug(path)).put("path", path);
    resource.put("format", "json").put("mediatype", "application/json").put("encoding", "utf-8");
    add(
        path,
        resource,
        out -> out.write(content.toPrettyString().getBytes(StandardCharsets.UTF_8)));
  }

  /** Adds a file of a run. */
  public void part(String folder, RunPackage.Part part) throws IOException {
    String path = folder + part.name();
    ObjectNode resource = JSON.createObjectNode();
    resource.put("name", slug(path)).put("path", path);
    if (part.columns().isEmpty()) {
      resource.put("format", "json").put("mediatype", "application/json").put("encoding", "utf-8");
    } else {
      resource.put("profile", "tabular-data-resource");
      resource.put("format", "csv").put("mediatype", "text/csv").put("encoding", "utf-8");
      ArrayNode fields = resource.putObject("schema").putArray("fields");
      part.columns().forEach(c -> fields.addObject().put("name", c).put("type", "number"));
    }
    add(path, resource, part.content()::into);
  }

  private interface Content {
    void into(OutputStream out) throws IOException;
  }

  private void add(String path, ObjectNode resource, Content content) throws IOException {
    Measured measured = file(path, content);
    resource.put("bytes", measured.bytes);
    resource.put("hash", "sha256:" + measured.hash);
    resources.add(resource);
    open.add(line(measured.hash, path));
  }

  /**
   * Closes a run: what was added since the last one joins the chain.
   *
   * @param before the link before; empty for the first
   * @return SHA-256 of that link and of the lines of the files, as they stand in the list
   */
  public String chained(String before) {
    String link = link(before, open);
    open.clear();
    return link;
  }

  /** A link of the chain: the one before, and the lines of a run's files in their order. */
  public static String link(String before, List<String> lines) {
    return Sha256.of(before + "\n" + String.join("", lines));
  }

  /** The line of a file in the list of hashes. */
  public static String line(String hash, String path) {
    return hash + "  " + path + "\n";
  }

  /** Forgets what was added since the last run: it is in no chain. */
  public void unchained() {
    open.clear();
  }

  /**
   * Ends it.
   *
   * @param descriptor what the package says of itself; the resources are added
   */
  public void end(ObjectNode descriptor, Optional<Signing> signing) throws IOException {
    descriptor.set("resources", resources);
    file(
        SealedArchive.DESCRIPTOR,
        out -> out.write(descriptor.toPrettyString().getBytes(StandardCharsets.UTF_8)));
    byte[] list = hashes.toString().getBytes(StandardCharsets.UTF_8);
    file(SealedArchive.HASHES, out -> out.write(list));
    if (signing.isPresent()) {
      ObjectNode node = JSON.createObjectNode();
      byte[] key = signing.get().publicKey();
      node.put("algorithm", Signing.ALGORITHM);
      node.put("signs", SealedArchive.HASHES);
      node.put("publicKey", Base64.getEncoder().encodeToString(key));
      node.put("fingerprint", Sha256.of(key));
      node.put("signature", Base64.getEncoder().encodeToString(signing.get().sign(list)));
      file(
          SealedArchive.SIGNATURE,
          out -> out.write(node.toPrettyString().getBytes(StandardCharsets.UTF_8)));
    }
    zip.finish();
    zip.flush();
  }

  private record Measured(String hash, long bytes) {}

  private Measured file(String path, Content content) throws IOException {
    ZipEntry entry = new ZipEntry(path);
    entry.setTime(Math.max(at.toEpochMilli(), 315_532_800_000L));
    zip.putNextEntry(entry);
    Digesting out = new Digesting(zip);
    content.into(out);
    out.flush();
    zip.closeEntry();
    String hash = Sha256.hex(out.digest);
    hashes.append(line(hash, path));
    return new Measured(hash, out.bytes);
  }

  private static final class Digesting extends FilterOutputStream {
    private final MessageDigest digest = Sha256.digest();
    private long bytes;

    Digesting(OutputStream out) {
      super(out);
    }

    @Override
    public void write(int one) throws IOException {
      write(new byte[] {(byte) one}, 0, 1);
    }

    @Override
    public void write(byte[] data, int from, int length) throws IOException {
      digest.update(data, from, length);
      bytes += length;
      out.write(data, from, length);
    }

    @Override
    public void close() throws IOException {
      flush();
    }
  }

  private static String slug(String path) {
    return path.replaceAll("\\.[a-z]+$", "").replace('/', '-').toLowerCase(java.util.Locale.ROOT);
  }
}
