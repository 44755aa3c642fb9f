// Copies the fonts (OFL) and their licences from the packages to where the application serves them.
import { cpSync, mkdirSync } from "node:fs";

const target = "target/classes/static/fonts";
const fonts = [
  ["instrument-sans", "instrument-sans-latin-wght-normal.woff2"],
  ["newsreader", "newsreader-latin-wght-italic.woff2"],
];

mkdirSync(target, { recursive: true });
mkdirSync("target/classes/static/css", { recursive: true });
for (const [name, file] of fonts) {
  const from = `node_modules/@fontsource-variable/${name}`;
  cpSync(`${from}/files/${file}`, `${target}/${name}.woff2`);
  cpSync(`${from}/LICENSE`, `${target}/${name}-licence.txt`);
}
