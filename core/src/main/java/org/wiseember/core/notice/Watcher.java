package org.wiseember.core.notice;

import java.util.List;
import org.wiseember.core.trace.Frame;

/** Looks at one frame after the other, in order of time, and speaks up when it sees something. */
public interface Watcher {
  /**
   * Takes the next frame.
   *
   * @return what it has to say now, mostly nothing
   */
  List<Notice> take(Frame frame);
}
