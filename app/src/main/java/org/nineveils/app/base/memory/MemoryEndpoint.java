package org.nineveils.app.base.memory;

import java.util.Map;
import org.nineveils.document.Json;
import org.springframework.boot.actuate.endpoint.annotation.Endpoint;
import org.springframework.boot.actuate.endpoint.annotation.ReadOperation;
import org.springframework.stereotype.Component;

/** What is kept in memory, by shelf, in bytes: /actuator/memory. */
@Component
@Endpoint(id = "memory")
public class MemoryEndpoint {
  private final Budget budget;

  MemoryEndpoint(Budget budget) {
    this.budget = budget;
  }

  @ReadOperation
  public Map<String, Object> memory() {
    Runtime heap = Runtime.getRuntime();
    return Json.object(
        "heapMost", heap.maxMemory(),
        "heapUsed", heap.totalMemory() - heap.freeMemory(),
        "keptMost", budget.most(),
        "kept", budget.bytes(),
        "shelves", budget.held());
  }
}
