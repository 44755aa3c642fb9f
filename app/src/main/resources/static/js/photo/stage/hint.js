// What stands by the brush while a brush-on veil waits for its first stroke.

export const hiddenHint = ({ name, meantFor }) =>
  `“${name}” is hidden: brush it on${meantFor ? ` the ${meantFor}` : ""}`;
