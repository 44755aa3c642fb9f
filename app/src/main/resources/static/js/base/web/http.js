// Talks to the application: JSON in and out, faults as sentences. A token that is no longer good is
// fetched anew and the request repeated once; where a log-in ran out, it is asked for in place.
import { logIn } from "./log-in.js";
import { newName } from "./names.js";

export class Refused extends Error {
  /** @param answer what the application said: sentence, offers, stale, done */
  constructor(sentence, status, answer = {}) {
    super(sentence);
    this.status = status;
    this.offers = answer.offers ?? [];
    this.stale = answer.stale === true;
    this.done = answer.done === true;
  }
}

const LOST = "The application does not answer. What was saved before is safe; start it again.";
const FORBIDDEN = "The application did not take this: the page is no longer trusted. Reload it and try again.";
/** Longest body that a browser sends on when its page is gone, with room for heads. */
const KEPT_ALIVE = 60_000;

const meta = () => document.querySelector('meta[name="csrf"]');
export const csrf = () => meta().content;

/** Fetches a token that is good now, after a log-in where that has run out. @returns whether there is one */
async function trustedAgain() {
  try {
    let answer = await fetch("/api/token");
    if (answer.status === 401 && (await logIn())) answer = await fetch("/api/token");
    if (!answer.ok) return false;
    meta().content = (await answer.json()).token;
    return true;
  } catch {
    return false;
  }
}

/**
 * @param how { lasts: the browser sends it on when the page is gone; there is little room for that,
 *   name: of the request, so that what is sent again is not done twice, signal: that gives it up }
 */
async function once(method, address, body, { lasts = false, name = "", signal } = {}) {
  const headers = { "X-CSRF-TOKEN": csrf() };
  if (name) headers["Idempotency-Key"] = name;
  const text = body === undefined ? undefined : JSON.stringify(body);
  if (text !== undefined) headers["Content-Type"] = "application/json";
  const keepalive = lasts && method !== "GET" && (text?.length ?? 0) < KEPT_ALIVE;
  try {
    return await fetch(address, { method, headers, body: text, keepalive, signal });
  } catch {
    if (keepalive) return once(method, address, body, { name }); // its room was taken
    throw new Refused(LOST, 0);
  }
}

const untrusted = ({ status }) => status === 401 || status === 403;

async function ask(method, address, body, how) {
  let answer = await once(method, address, body, how);
  if (untrusted(answer) && (await trustedAgain())) answer = await once(method, address, body, how);
  if (!answer.ok) throw await refused(answer);
  return answer;
}

async function refused(answer) {
  let said = {};
  try {
    said = await answer.json();
  } catch {
    // not ours, or cut short
  }
  const otherwise =
    answer.status === 403 ? FORBIDDEN : `The application answered ${answer.status}. Reload the page and try again.`;
  return new Refused(said.sentence ?? otherwise, answer.status, said);
}

/**
 * Sends and gives the answer's JSON.
 * @param name of the request; what is sent again under it is not done twice. What changes something has
 *   one of its own where none is given, since a browser or a log-in may make it be sent again
 */
export async function send(method, address, body, name = method === "GET" ? "" : newName()) {
  return (await ask(method, address, body, { lasts: true, name })).json();
}

/** Sends and gives the answer's bytes, or null where a newer request took this one's place. */
export async function fetchBytes(address, body, signal) {
  const answer = await ask("POST", address, body, { signal });
  return answer.status === 204 ? null : answer.arrayBuffer();
}

/** Uploads one file; onShare is told the share that is on its way, 0…1. */
export async function upload(address, file, onShare) {
  try {
    return await uploadOnce(address, file, onShare);
  } catch (fault) {
    if (!untrusted(fault) || !(await trustedAgain())) throw fault;
    return uploadOnce(address, file, onShare);
  }
}

function uploadOnce(address, file, onShare) {
  return new Promise((resolve, reject) => {
    const form = new FormData();
    form.append("file", file);
    const request = new XMLHttpRequest();
    request.open("POST", address);
    request.setRequestHeader("X-CSRF-TOKEN", csrf());
    request.responseType = "json";
    request.upload.addEventListener("progress", (e) => onShare(e.loaded / Math.max(1, e.total)));
    request.addEventListener("load", () => {
      if (request.status < 300) resolve(request.response);
      else
        reject(
          new Refused(
            request.response?.sentence ?? `“${file.name}” was not taken.`,
            request.status,
            request.response ?? {},
          ),
        );
    });
    request.addEventListener("error", () => reject(new Refused(LOST, 0)));
    request.send(form);
  });
}
