// Which handles lie on the picture for an open veil: those of its settings, or of its mask's rules.
import { ruleChanged } from "../../photo/mask/rules.js";

/**
 * @param veil the open veil
 * @param kind its descriptors
 * @param ruleKinds sorts of rule
 * @param side Settings, Mask or Dials: what is edited
 * @param take(of, what): changes the veil by a function of it, what is empty while the hand moves
 * @returns what Handles shows
 */
export function handlesOf(veil, kind, ruleKinds, side, take) {
  if (side === "Settings") {
    return kind.handles.map((handle) => ({
      handle,
      settings: kind.settings,
      values: veil.settings,
      give: (values, rests) =>
        take((v) => ({ settings: { ...v.settings, ...values } }), rests && handle.label.toLowerCase()),
    }));
  }
  if (side !== "Mask") return [];
  return (veil.mask.rules ?? []).flatMap((rule, index) => {
    const sort = ruleKinds.find((k) => k.id === rule.kind);
    return sort.handles.map((handle) => ({
      handle: { ...handle, label: `${handle.label} ${index + 1}` },
      settings: sort.settings,
      values: rule.settings,
      give: (values, rests) =>
        take(
          (v) => ({ mask: ruleChanged(v.mask, index, { settings: { ...v.mask.rules[index].settings, ...values } }) }),
          rests && "shape of the mask",
        ),
    }));
  });
}
