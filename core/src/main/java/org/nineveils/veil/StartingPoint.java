package org.nineveils.veil;

import java.util.Map;

/**
 * Values of some settings to begin with, under a name of the trade. They are settings like any
 * others: what is made from them is stored, not the name.
 *
 * @param group heading that the settings stand under
 * @param label name on screens
 * @param values by key, as they come out of JSON; what is not named stays as it is
 */
public record StartingPoint(String group, String label, Map<String, Object> values) {
  public StartingPoint {
    values = Map.copyOf(values);
  }
}
