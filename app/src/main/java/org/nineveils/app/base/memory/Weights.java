package org.nineveils.app.base.memory;

import java.lang.management.ManagementFactory;
import javax.management.MBeanServer;
import javax.management.ObjectName;
import javax.management.openmbean.CompositeData;
import org.nineveils.picture.Picture;

/**
 * What things weigh on this heap. The collector gives an array of more than half a region whole
 * regions of its own, so a plane of a small picture may weigh nearly twice its bytes.
 */
public final class Weights {
  private static final long REGION = region();

  private Weights() {}

  /** Bytes that an array of floats takes. */
  public static long floats(long n) {
    long bytes = n * Float.BYTES + 16;
    return bytes > REGION / 2 ? (bytes + REGION - 1) / REGION * REGION : bytes;
  }

  /** Bytes that the planes of a picture take. */
  public static long picture(Picture picture) {
    return 3 * floats(picture.area().pixels());
  }

  /** Region size of the G1 collector; a megabyte where that cannot be asked for. */
  private static long region() {
    try {
      MBeanServer beans = ManagementFactory.getPlatformMBeanServer();
      ObjectName name = new ObjectName("com.sun.management:type=HotSpotDiagnostic");
      CompositeData option =
          (CompositeData)
              beans.invoke(
                  name,
                  "getVMOption",
                  new Object[] {"G1HeapRegionSize"},
                  new String[] {String.class.getName()});
      return Math.max(1 << 20, Long.parseLong((String) option.get("value")));
    } catch (javax.management.JMException | RuntimeException e) {
      return 1 << 20;
    }
  }
}
