package org.wiseember.desktop.model;

import java.util.LinkedHashMap;
import java.util.Map;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/**
 * What was found last of each unit. It is judged again from that whenever it is asked for: what
 * still stands is used again, so nothing has to be told of what changed. For any thread.
 */
final class Judgements {
  /** Readings that were looked at stay in memory with them. */
  private static final int MOST = 64;

  private final Map<Long, Judgement> last =
      new LinkedHashMap<>(MOST, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Judgement> eldest) {
          return size() > MOST;
        }
      };

  private Workbook ofWorkbook;

  /** A unit as it stands in the workbook now. */
  Judgement of(Workbook workbook, TestedUnit unit, boolean guarded) {
    Judgement before;
    synchronized (last) {
      if (ofWorkbook != workbook) {
        // Another workbook has other units of these numbers.
        last.clear();
        ofWorkbook = workbook;
      }
      before = last.get(unit.id());
    }
    Judgement now =
        before == null
            ? Judgement.of(workbook, unit, guarded)
            : before.again(workbook, unit, guarded);
    synchronized (last) {
      if (ofWorkbook == workbook) {
        last.put(unit.id(), now);
      }
    }
    return now;
  }
}
