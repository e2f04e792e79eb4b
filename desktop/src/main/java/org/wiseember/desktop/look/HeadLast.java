package org.wiseember.desktop.look;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/**
 * A column whose head stands on top and is reached by Tab after everything below it: what starts
 * the work comes after what has to be chosen for it. Tab goes by the order nodes are put in.
 */
public final class HeadLast extends VBox {
  public HeadLast(Node head, Node... below) {
    super(below);
    getChildren().add(head);
  }

  /** The order they are laid out in. */
  @Override
  protected <E extends Node> List<E> getManagedChildren() {
    List<E> order = new ArrayList<>(super.getManagedChildren());
    Collections.rotate(order, 1);
    return order;
  }
}
