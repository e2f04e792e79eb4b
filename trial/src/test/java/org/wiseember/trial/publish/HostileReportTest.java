package org.wiseember.trial.publish;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.NodeList;
import org.wiseember.core.quantity.HourSpan;
import org.wiseember.core.quantity.ReaderUnits;
import org.wiseember.core.runtime.Appliance;
import org.wiseember.core.runtime.ApplianceDraw;
import org.wiseember.core.runtime.Day;
import org.wiseember.core.runtime.Side;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.waveform.Capture;
import org.wiseember.core.waveform.CaptureNote;
import org.wiseember.report.page.PageHtml;
import org.wiseember.report.page.PagePdf;
import org.wiseember.report.page.Report;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.Event;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.NotebookLine;
import org.wiseember.workbook.ReportChoice;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.RunWriter;
import org.wiseember.workbook.StoredCapture;
import org.wiseember.workbook.UnitFacts;
import org.wiseember.workbook.Workbook;
import org.wiseember.workbook.log.Progress;
import org.xml.sax.SAXException;

/** A unit whose every word was written by somebody who means ill, on every sheet there is. */
public class HostileReportTest {
  private static final String EVIL =
      "<script>alert(1)</script><img src=x onerror=evil()>\u0007\"'&";
  private static final Instant START = Instant.parse("2026-05-04T16:30:00Z");
  private static final Clock CLOCK = Clock.fixed(START, ZoneOffset.UTC);
  private static final String SECRET = "51.5007N 0.1246W";

  private Path folder;
  private Workbook workbook;
  private Judgement judgement;

  @BeforeClass
  public void make() throws IOException {
    folder = Files.createTempDirectory("hostile-report");
    workbook = Workbook.open(folder.resolve("evil.ember"), CLOCK);
    workbook.title(EVIL);
    long unit = workbook.units().add("Lamp " + EVIL).id();
    workbook
        .units()
        .label(
            unit,
            "Capacity 1075 Wh\nAC out 230 V 1200 W\n=cmd|'/c calc'!A0 12 W idle " + EVIL,
            List.of());
    workbook.units().facts(unit, new UnitFacts(EVIL, EVIL, EVIL, Optional.empty(), 5, EVIL));
    RunWriter writer =
        workbook
            .runs()
            .begin(
                new NewRun(
                    RunOf.unit(unit),
                    "ac-drain",
                    "Drain " + EVIL,
                    START,
                    RunSettings.of(RunSettings.Source.FILE, Map.of())),
                List.of(Channel.AC_POWER));
    for (int i = 0; i < 600; i++) {
      writer.append(i * 10.0, new double[] {i < 560 ? 600 : 0});
    }
    writer.note(new Event(3, "mark", EVIL));
    writer.flush();
    writer.end(Run.State.DONE, EVIL);
    long run = writer.runId();
    workbook.typedReadings().keep(run, 50, "=1+1 " + EVIL, Channel.AC_ENERGY, 8.3, 0.1, "=8.3");
    workbook.notebook().keep(run, NotebookLine.words(60, EVIL, EVIL), List.of());
    photos(run);
    workbook
        .captures()
        .add(
            run,
            List.of(
                new StoredCapture(
                    7,
                    CaptureNote.of(EVIL),
                    Capture.of(10_000, new double[] {1.5, -325.1, 0, 3}))));
    ApplianceDraw draw =
        new ApplianceDraw(ApplianceDraw.Use.CYCLING, 46, 12, Double.NaN, 190.0)
            .from(ApplianceDraw.Origin.WATCHED);
    workbook
        .days()
        .add(
            Day.empty("Day " + EVIL, LocalTime.of(17, 0), 10)
                .with(
                    List.of(
                        new Appliance(
                            "Box " + EVIL,
                            draw,
                            Side.AC,
                            List.of(new HourSpan(0, 10)),
                            List.of()))),
            List.of());
    judgement = Judgement.of(workbook, workbook.units().byId(unit).orElseThrow(), true);
  }

  private void photos(long run) throws IOException {
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(1800, 900, BufferedImage.TYPE_INT_ARGB), "png", png);
    workbook.photos().add(run, 5, written("told.png", withText(png.toByteArray())), EVIL);
    workbook
        .photos()
        .add(run, 6, written("no.jpg", EVIL.getBytes(StandardCharsets.UTF_8)), "no picture");
    // Eighty thousand by eighty thousand points, says its head.
    byte[] huge = png.toByteArray();
    ByteBuffer.wrap(huge).putInt(16, 80_000).putInt(20, 80_000);
    workbook.photos().add(run, 7, written("huge.png", fitted(huge)), "huge");
    Path gone = written("gone.png", png.toByteArray());
    workbook.photos().add(run, 8, gone, "gone");
    Files.delete(gone);
  }

  private Path written(String name, byte[] bytes) throws IOException {
    return Files.write(folder.resolve(name), bytes);
  }

  /** A picture that tells where it was taken, as cameras write it. */
  private static byte[] withText(byte[] png) {
    byte[] text = ("tEXtComment\0" + SECRET).getBytes(StandardCharsets.ISO_8859_1);
    CRC32 sum = new CRC32();
    sum.update(text);
    ByteBuffer out = ByteBuffer.allocate(png.length + text.length + 8);
    out.put(png, 0, 33).putInt(text.length - 4).put(text).putInt((int) sum.getValue());
    return out.put(png, 33, png.length - 33).array();
  }

  private static byte[] fitted(byte[] png) {
    CRC32 sum = new CRC32();
    sum.update(png, 12, 17);
    ByteBuffer.wrap(png).putInt(29, (int) sum.getValue());
    return png;
  }

  @AfterClass(alwaysRun = true)
  public void close() {
    workbook.close();
  }

  private Report report(ReportChoice choice) {
    return sheets().made(choice, Progress.NONE).orElseThrow();
  }

  private ReportSheets sheets() {
    return new ReportSheets(
        workbook, judgement, OnHand.of(List.of(100.0)), START, ZoneOffset.UTC, ReaderUnits.AS_KEPT);
  }

  private static String safe(Report report) throws IOException {
    String html = new PageHtml().write(report);
    harmless(html);
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    PagePdf.write(html, pdf);
    assertTrue(pdf.size() > 10_000);
    return html;
  }

  /** Read as what it is, XML: no element runs anything, whatever stands in the words. */
  private static void harmless(String html) {
    try {
      NodeList all =
          DocumentBuilderFactory.newInstance()
              .newDocumentBuilder()
              .parse(new ByteArrayInputStream(html.getBytes(StandardCharsets.UTF_8)))
              .getElementsByTagName("*");
      for (int i = 0; i < all.getLength(); i++) {
        assertFalse(all.item(i).getNodeName().equalsIgnoreCase("script"));
        NamedNodeMap attributes = all.item(i).getAttributes();
        for (int k = 0; k < attributes.getLength(); k++) {
          String name = attributes.item(k).getNodeName();
          assertFalse(name.startsWith("on"), name);
          boolean leads = name.equals("src") || name.endsWith("href");
          String to = attributes.item(k).getNodeValue();
          assertTrue(!leads || to.startsWith("data:image/") || to.startsWith("#"), to);
        }
      }
    } catch (ParserConfigurationException | SAXException | IOException e) {
      throw new AssertionError("the page is no XML", e);
    }
  }

  @Test
  public void everySheetEscapesItsWords() throws IOException {
    List<String> all = List.copyOf(ReportSheets.all().keySet());
    for (boolean full : new boolean[] {false, true}) {
      String html = safe(report(ReportChoice.USUAL.full(full).of(all)));
      assertTrue(html.contains("&lt;script&gt;alert(1)"), "the words are there, as words");
      assertTrue(html.contains("How these figures came about"));
    }
    safe(sheets().forItsMaker("a4"));
  }

  /** A photo goes out without what it told; what is no photo is said to be none. */
  @Test
  public void photosTellNothingButThemselves() throws IOException {
    String html = safe(report(ReportChoice.USUAL.of(List.of("photos"))));
    Matcher jpeg = Pattern.compile("data:image/jpeg;base64,([A-Za-z0-9+/=]+)").matcher(html);
    assertTrue(jpeg.find(), "the photo is there");
    byte[] bytes = Base64.getDecoder().decode(jpeg.group(1));
    assertFalse(new String(bytes, StandardCharsets.ISO_8859_1).contains(SECRET));
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(bytes));
    assertEquals(image.getWidth(), 1400);
    assertEquals(image.getHeight(), 700);
    assertFalse(jpeg.find(), "only one of the four is a photo");
    assertTrue(html.contains("no picture: the file is no picture that can be read."));
    assertTrue(html.contains("huge: the file is no picture that can be read."));
    assertTrue(html.contains("gone: the file is not where it was."));
  }

  /** The package keeps every word as it is, and verifies. */
  @Test
  public void itsPackageVerifies() throws IOException {
    Path zip = folder.resolve("evil.zip");
    UnitPackage.write(workbook, judgement, zip, START, Optional.empty());
    PackageCheck check = PackageCheck.of(zip, CLOCK);
    assertTrue(check.good(), check.toString());
    assertEquals(check.unit(), judgement.unit().name());
    assertTrue(check.figures().stream().anyMatch(f -> f.key().equals("delivered_energy")));
  }
}
