package org.wiseember.report.film;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;
import org.wiseember.report.film.Captions.Moment;

public class CaptionsTest {
  /** WebVTT of the W3C and SubRip, both recalled from memory. */
  @Test
  public void twoFormsOfTheSame() {
    Captions captions =
        Captions.of(
            List.of(new Moment(3661.5, "Tripped <here> & there"), new Moment(0, "Load on")));
    assertEquals(
        captions.vtt(),
        """
        WEBVTT

        00:00:00.000 --> 00:00:04.000
        Load on

        01:01:01.500 --> 01:01:05.500
        Tripped &lt;here&gt; &amp; there
        """);
    assertEquals(
        captions.srt(),
        """
        1
        00:00:00,000 --> 00:00:04,000
        Load on

        2
        01:01:01,500 --> 01:01:05,500
        Tripped ‹here› & there

        """);
  }

  /** Whatever happens when: in order, none over another, nothing before the film, nothing lost. */
  @Test
  public void anyMomentsGiveCaptionsInOrder() {
    SplittableRandom random = new SplittableRandom(7);
    for (int run = 0; run < 200; run++) {
      List<Moment> moments = new ArrayList<>();
      for (int i = 0; i < 30; i++) {
        moments.add(new Moment(random.nextDouble(-20, 60), "moment " + run + " " + i));
      }
      Captions captions = Captions.of(moments);
      double last = 0;
      StringBuilder all = new StringBuilder();
      for (Cue cue : captions.cues()) {
        assertTrue(cue.from() >= last - 1e-9, cue.toString());
        assertTrue(cue.to() - cue.from() <= Captions.SECONDS + 1e-9, cue.toString());
        assertTrue(cue.to() - cue.from() >= 1 - 1e-9, cue.toString());
        last = cue.to();
        all.append(cue.words()).append('\n');
      }
      for (Moment m : moments) {
        assertEquals(all.toString().contains(m.words() + "\n"), m.seconds() >= 0, m.toString());
      }
    }
  }

  /** Words of strangers end no caption and begin none. */
  @Test
  public void hostileWordsStayWords() {
    String words = "a\n\n00:00:09.000 --> 00:00:10.000\r\nb\u0007\u001b[31m<script>";
    Captions captions = Captions.of(List.of(new Moment(1, words), new Moment(2, "  \n ")));
    assertEquals(captions.cues().size(), 1);
    for (String text : List.of(captions.vtt(), captions.srt())) {
      assertFalse(text.contains("<script>"), text);
      assertFalse(text.matches("(?s).*[\\x00-\\x09\\x0b-\\x1f].*"), text);
      String body = text.substring(text.indexOf("00:00:01"));
      // Up to the empty line that ends it everything is of the one caption.
      assertEquals(body.strip().split("\n\n").length, 1, body);
    }
    Matcher arrows = Pattern.compile("-->").matcher(captions.vtt());
    assertTrue(arrows.find());
    assertFalse(arrows.find(), "an arrow in words begins a caption: " + captions.vtt());
  }
}
