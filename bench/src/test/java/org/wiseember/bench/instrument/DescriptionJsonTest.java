package org.wiseember.bench.instrument;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.uncertainty.Correction;
import org.wiseember.core.uncertainty.MeterClass;

public class DescriptionJsonTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  private static JsonSchema schema() throws IOException {
    Path file = Path.of("..", "docs", "schemas", "instrument.schema.json");
    return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
        .getSchema(Files.readString(file));
  }

  @Test
  public void whatShipsReadsBackTheSameAndKeepsTheSchema() throws Exception {
    assertTrue(StartingPoints.all().size() >= 5);
    for (InstrumentDescription description : StartingPoints.all()) {
      String json = DescriptionJson.write(description);
      assertEquals(DescriptionJson.read(json), description);
      assertEquals(schema().validate(JSON.readTree(json)).toString(), "[]", description.name());
    }
  }

  @Test
  public void checksAndRegistersSurvive() throws Exception {
    ChannelSource source =
        new ChannelSource(
            Channel.SECOND_AC_POWER,
            "",
            1,
            Optional.of(new Register(Register.Table.HOLDING, 7, Register.Type.INT32, true, 0.001)),
            Optional.of(new MeterClass(0.5, 0.1, 2000, 0.1, 3)),
            Optional.of(Correction.ofOnePoint(590, 600, MeterClass.ofReading(0.2, 1, 0.1))));
    InstrumentDescription description =
        new InstrumentDescription(
            "Quay meter", Transport.MODBUS_RTU, "/dev/ttyUSB0:19200", 9, 2.5, List.of(source));
    String json = DescriptionJson.write(description);
    assertEquals(DescriptionJson.read(json), description);
    assertEquals(schema().validate(JSON.readTree(json)).toString(), "[]");
    assertEquals(
        description.instrument().accuracy().get(Channel.SECOND_AC_POWER).percentOfReading(),
        0.2,
        "checked against a better meter it is as good as that");
  }

  @DataProvider
  Object[][] wrong() {
    String head = "{\"format\":\"wise-ember-instrument-1\",\"name\":\"M\",";
    String one = "\"channels\":[{\"channel\":\"ac_power\"}]}";
    return new Object[][] {
      {"not json", "not JSON"},
      {"{}", "does not call itself"},
      {head + "\"way\":\"telepathy\"," + one, "“way” is “telepathy”"},
      {head + "\"way\":\"typed\",\"channels\":[]}", "“channels” is empty"},
      {
        head + "\"way\":\"typed\",\"channels\":[{\"channel\":\"colour\"}]}", "“colour” is not known"
      },
      {head + "\"way\":\"scpi-tcp\"," + one, "“channels” 1 needs “query”"},
      {head + "\"way\":\"modbus-tcp\"," + one, "“channels” 1 needs “register”"},
      {
        head
            + "\"way\":\"modbus-tcp\",\"channels\":[{\"channel\":\"ac_power\",\"register\":"
            + "{\"address\":70000}}]}",
        "“address” is “70000”; 65535 is the most"
      },
      {
        head + "\"way\":\"typed\",\"everySeconds\":-1," + one,
        "“everySeconds” is “-1”; 0.1 is the least"
      },
      {
        head
            + "\"way\":\"typed\",\"channels\":[{\"channel\":\"ac_power\"},"
            + "{\"channel\":\"ac_power\"}]}",
        "is there twice"
      },
      {
        head
            + "\"way\":\"typed\",\"channels\":[{\"channel\":\"ac_power\",\"accuracy\":"
            + "{\"percentOfReading\":-4}}]}",
        "“percentOfReading” is “-4”; 0 is the least"
      },
      {register("\"wordOrder\":\"low\""), "“wordOrder” is “low”; use one of high-first, low-first"},
      {register("\"scale\":\"0,1\""), "“scale” is “0,1”, where a number"},
      {register("\"scale\":\"0.1\""), "“scale” is “0.1”, where a number"},
      {register("\"adress\":4"), "“adress” in “channels” 1, “register” is not known"},
      {head + "\"way\":\"typed\",\"modbusUnit\":\"five\"," + one, "where a whole number belongs"},
      {head + "\"way\":\"typed\",\"modbusUnit\":1.5," + one, "where a whole number belongs"},
      {head + "\"way\":\"typed\",\"everyseconds\":2," + one, "“everyseconds” in the description"},
      {head + "\"way\":\"typed\",\"way\":\"csv\"," + one, "says one thing twice"},
      {head + "\"way\":\"typed\"," + one + "{}", "not JSON"},
      {"[".repeat(300_000), "too long"},
      {"[".repeat(150_000), "not JSON"},
    };
  }

  private static String register(String field) {
    return "{\"format\":\"wise-ember-instrument-1\",\"name\":\"M\",\"way\":\"modbus-tcp\","
        + "\"address\":\"127.0.0.1:502\",\"channels\":[{\"channel\":\"ac_power\",\"register\":"
        + "{\"address\":0,"
        + field
        + "}}]}";
  }

  @Test(dataProvider = "wrong")
  public void whatCannotBeUsedIsOneSentence(String json, String words) {
    DescriptionUnreadable told =
        expectThrows(DescriptionUnreadable.class, () -> DescriptionJson.read(json));
    assertTrue(told.getMessage().contains(words), told.getMessage());
    assertTrue(told.getMessage().endsWith("."), told.getMessage());
  }

  /**
   * Two meters that read the outlet's watts are compared, so the second gets channels of its own.
   */
  @Test
  public void theSecondMeterInLineIsTheSecondMeter() {
    InstrumentDescription meter =
        StartingPoints.all().stream()
            .filter(d -> d.name().equals("AC meter over SCPI"))
            .findFirst()
            .orElseThrow();
    List<InstrumentDescription> line =
        InstrumentDescription.inLine(List.of(StartingPoints.all().get(0), meter, meter.named("B")));
    assertEquals(line.get(1), meter, "a typed meter before it does not make it the second");
    assertEquals(
        line.get(2).channels().stream().map(ChannelSource::channel).toList(),
        List.of(Channel.SECOND_AC_POWER, Channel.SECOND_AC_VOLTAGE, Channel.SECOND_AC_ENERGY));
    assertEquals(line.get(2).channels().get(0).query(), "MEAS:POW?");
  }
}
