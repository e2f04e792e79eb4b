package org.wiseember.workbook.plan;

import org.wiseember.workbook.json.Records;

/** Notes of a campaign as JSON; see docs/formats.md. */
public final class CampaignNotesJson {
  private CampaignNotesJson() {}

  /** As it is kept. */
  public static String write(CampaignNotes notes) {
    return Records.write(notes);
  }

  /**
   * Reads what was kept.
   *
   * @throws IllegalArgumentException where it makes no sense
   */
  public static CampaignNotes read(String json) {
    return json.isBlank() ? CampaignNotes.USUAL : Records.read(json, CampaignNotes.class);
  }
}
