package org.wiseember.desktop.bench;

import java.util.List;
import javafx.scene.layout.VBox;
import org.wiseember.desktop.look.Words;
import org.wiseember.trial.need.RigCable;

/** The leads of a rig: amps at worst, gauge, fuse, what to know of the plug. */
final class LeadsList extends VBox {
  LeadsList() {
    setSpacing(5);
    setId("leads");
  }

  /** Shows those of a test; nothing for one without any. */
  void show(List<RigCable> cables) {
    getChildren().clear();
    Words.shown(this, !cables.isEmpty());
    if (cables.isEmpty()) {
      return;
    }
    getChildren().add(Words.of("heading", "Leads"));
    for (RigCable cable : cables) {
      getChildren()
          .addAll(Words.of("figure", cable.words()), Words.of("quiet", cable.connector().note()));
    }
    getChildren()
        .add(
            Words.of(
                "quiet",
                "The fuse sits next to the source. Check your local code; what is fixed to a"
                    + " building is a licensed electrician's work."));
  }
}
