// Installs the packages of package-lock.json, unless they are there already. `--omit=dev` leaves out what only
// checks need. Whoever comes second waits for the first, so that this may run beside the compiler.
import { createHash } from "node:crypto";
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from "node:fs";
import { setTimeout as wait } from "node:timers/promises";

const LOCK = ".packages-lock";
const MARK = "node_modules/.installed";
const STALE = 10 * 60 * 1000; // a run that was killed leaves its lock behind

const lean = process.argv.includes("--omit=dev");
const state = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");

/** All packages serve where only some are wanted. */
function isThere() {
  if (!existsSync(MARK)) return false;
  const [of, which] = readFileSync(MARK, "utf8").split(" ");
  return of === state && (lean || which === "all");
}

function isTaken() {
  try {
    mkdirSync(LOCK);
    return false;
  } catch {
    if (existsSync(LOCK) && Date.now() - statSync(LOCK).mtimeMs > STALE) rmSync(LOCK, { recursive: true });
    return true;
  }
}

while (isTaken()) await wait(100);
try {
  if (!isThere()) {
    const { status } = spawnSync("npm", ["ci", "--no-audit", "--no-fund", ...(lean ? ["--omit=dev"] : [])], {
      stdio: "inherit",
    });
    if (status !== 0) process.exitCode = 1;
    else writeFileSync(MARK, `${state} ${lean ? "some" : "all"}`);
  }
} finally {
  rmSync(LOCK, { recursive: true, force: true });
}
