package org.wiseember.desktop.bench;

import java.util.List;
import javafx.scene.layout.VBox;
import org.wiseember.core.notice.Notice;
import org.wiseember.desktop.look.NoticeRow;
import org.wiseember.desktop.look.Words;

/** What was noticed so far, the newest on top; what is there stays when more comes. */
final class NoticedList extends VBox {
  private List<Notice> shown = List.of();
  private final VBox rows = new VBox();

  NoticedList() {
    setSpacing(4);
    rows.setSpacing(4);
    getChildren().addAll(Words.of("heading", "Noticed while running"), rows);
  }

  void show(List<Notice> notices) {
    if (notices.equals(shown) && !rows.getChildren().isEmpty()) {
      return;
    }
    if (notices.isEmpty()) {
      rows.getChildren().setAll(Words.of("quiet", "Nothing yet."));
    } else {
      int known = notices.size() < shown.size() || shown.isEmpty() ? 0 : shown.size();
      if (known == 0) {
        rows.getChildren().clear();
      }
      for (Notice notice : notices.subList(known, notices.size())) {
        rows.getChildren().add(0, NoticeRow.of(notice.seconds(), notice.code(), notice.text()));
      }
    }
    shown = notices;
  }
}
