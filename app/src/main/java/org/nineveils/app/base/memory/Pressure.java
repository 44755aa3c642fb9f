package org.nineveils.app.base.memory;

import jakarta.annotation.PreDestroy;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryNotificationInfo;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import javax.management.ListenerNotFoundException;
import javax.management.NotificationEmitter;
import javax.management.NotificationListener;
import org.springframework.stereotype.Component;

/** Lets half of what is kept go where the heap is nearly full after a collection. */
@Component
class Pressure {
  private static final double FULL = 0.8;

  private final NotificationEmitter memory =
      (NotificationEmitter) ManagementFactory.getMemoryMXBean();
  private final NotificationListener listener;

  Pressure(Budget budget) {
    for (MemoryPoolMXBean pool : ManagementFactory.getMemoryPoolMXBeans()) {
      long most = pool.getUsage() == null ? -1 : pool.getUsage().getMax();
      boolean old = pool.getType() == MemoryType.HEAP && pool.isCollectionUsageThresholdSupported();
      if (old && most > 0 && pool.getName().contains("Old")) {
        pool.setCollectionUsageThreshold((long) (FULL * most));
      }
    }
    listener =
        (notice, back) -> {
          if (notice
              .getType()
              .equals(MemoryNotificationInfo.MEMORY_COLLECTION_THRESHOLD_EXCEEDED)) {
            budget.keepAtMost(budget.bytes() / 2);
          }
        };
    memory.addNotificationListener(listener, null, null);
  }

  @PreDestroy
  void close() {
    try {
      memory.removeNotificationListener(listener);
    } catch (ListenerNotFoundException e) {
      // it was not there
    }
  }
}
