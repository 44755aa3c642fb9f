package org.nineveils.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;

/** Strips that are made while the one before is written. */
class AheadTest {
  /** Twenty rows of four, each strip as bright as its first row says. */
  private static class Rows implements Strips {
    final List<Integer> made = new CopyOnWriteArrayList<>();

    @Override
    public int width() {
      return 4;
    }

    @Override
    public int height() {
      return 20;
    }

    @Override
    public int rows() {
      return 8;
    }

    @Override
    public Picture strip(int top) {
      made.add(top);
      Picture p = Picture.blank(4, Math.min(8, 20 - top));
      p.r()[0] = top / 100f;
      return p;
    }
  }

  @Test
  void eachStripIsMadeOnceAndComesInItsPlace() {
    Rows rows = new Rows();
    Strips ahead = Ahead.of(rows);
    for (int top = 0; top < 20; top += 8) {
      assertThat(ahead.strip(top).r()[0]).isEqualTo(top / 100f);
    }
    assertThat(rows.made).containsExactly(0, 8, 16);
  }

  @Test
  void theNextStripIsUnderWayBeforeItIsAskedFor() throws InterruptedException {
    CountDownLatch second = new CountDownLatch(1);
    Strips rows =
        new Rows() {
          @Override
          public Picture strip(int top) {
            if (top == 8) {
              second.countDown();
            }
            return super.strip(top);
          }
        };
    Ahead.of(rows).strip(0);
    assertThat(second.await(10, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void aStripOutOfTurnIsMadeAllTheSame() {
    Strips ahead = Ahead.of(new Rows());
    ahead.strip(0);
    assertThat(ahead.strip(16).r()[0]).isEqualTo(0.16f);
    assertThat(ahead.strip(8).r()[0]).isEqualTo(0.08f);
  }

  @Test
  void whatAStripThrowsIsThrownToWhoAsksForIt() {
    Strips rows =
        new Rows() {
          @Override
          public Picture strip(int top) {
            if (top == 8) {
              throw new IllegalStateException("no more");
            }
            return super.strip(top);
          }
        };
    Strips ahead = Ahead.of(rows);
    ahead.strip(0);
    assertThatThrownBy(() -> ahead.strip(8)).isInstanceOf(IllegalStateException.class);
  }
}
