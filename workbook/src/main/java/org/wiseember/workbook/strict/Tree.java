package org.wiseember.workbook.strict;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;

/** Text as a tree of JSON; nothing in it can name a class. */
public final class Tree {
  private static final ObjectMapper JSON =
      JsonMapper.builder(
              new com.fasterxml.jackson.core.JsonFactoryBuilder()
                  .streamReadConstraints(
                      StreamReadConstraints.builder().maxNestingDepth(40).build())
                  .build())
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  private Tree() {}

  /**
   * Reads it.
   *
   * @throws JsonUnreadable where it is none, from which line on
   */
  public static JsonNode of(String text) throws JsonUnreadable {
    try {
      return JSON.readTree(text);
    } catch (JsonProcessingException e) {
      throw new JsonUnreadable(
          "That is no JSON"
              + (e.getLocation() == null
                  ? ""
                  : ", from line " + e.getLocation().getLineNr() + " on")
              + "; check quotes, commas and brackets.");
    }
  }
}
