package org.wiseember.desktop.bench;

import java.util.ArrayList;
import java.util.List;
import javafx.beans.value.ObservableDoubleValue;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import org.wiseember.desktop.model.Session;
import org.wiseember.trial.live.LiveTile;

/** The large figures of a test, as its settings name them. */
final class LiveTiles extends GridPane {
  private static final double WIDE = 640;
  private static final List<String> TONES =
      List.of("tone-ember", "tone-ember", "tone-ink", "tone-close");

  private final List<Tile> tiles = TONES.stream().map(Tile::new).toList();

  /**
   * Makes the tiles.
   *
   * @param room width they have, px
   */
  LiveTiles(Session session, ObservableDoubleValue room) {
    setHgap(10);
    setVgap(10);
    Runnable arrange = () -> arrange(room.get() / session.look().textScale().get() > WIDE);
    room.addListener((o, was, is) -> arrange.run());
    session.look().textScale().addListener((o, was, is) -> arrange.run());
    arrange.run();
  }

  private void arrange(boolean wide) {
    getChildren().clear();
    getColumnConstraints().clear();
    int across = wide ? tiles.size() : 2;
    for (int i = 0; i < tiles.size(); i++) {
      tiles.get(i).setMaxWidth(Double.MAX_VALUE);
      GridPane.setHgrow(tiles.get(i), Priority.ALWAYS);
      add(tiles.get(i), i % across, i / across);
    }
    for (int i = 0; i < across; i++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(100.0 / across);
      getColumnConstraints().add(column);
    }
  }

  /** Before a test that has nothing to foretell. */
  void nothing(List<LiveTile> heads) {
    List<LiveTile.Now> none = new ArrayList<>();
    for (int i = 0; i < heads.size(); i++) {
      none.add(new LiveTile.Now("–", i == 0 ? "not started" : ""));
    }
    show(heads, none);
  }

  /** What stands in them, a moment for a head. */
  void show(List<LiveTile> heads, List<LiveTile.Now> now) {
    for (int i = 0; i < tiles.size(); i++) {
      tiles.get(i).of(heads.get(i).title());
      tiles.get(i).set(now.get(i).figure(), heads.get(i).unit(), now.get(i).under());
    }
  }
}
