package org.wiseember.desktop.model;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;

/** A thread for work that takes so long that nothing else should wait behind it. */
final class OwnThread {
  private OwnThread() {}

  /** Works through what it is given, in turn; once it is shut down nobody wants any more of it. */
  static ExecutorService named(String name) {
    return new ThreadPoolExecutor(
        1,
        1,
        0,
        TimeUnit.SECONDS,
        new LinkedBlockingQueue<>(),
        task -> {
          Thread thread = new Thread(task, name);
          thread.setDaemon(true);
          return thread;
        },
        new ThreadPoolExecutor.DiscardPolicy());
  }
}
